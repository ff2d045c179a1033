import type { Fault, ProblemCode, ProblemDetails } from 'contract/problem'
import type { ContentfulStatusCode } from 'hono/utils/http-status'

/** Status and title of every problem: the one table. The detail says what to do. */
const PROBLEMS: Readonly<Record<ProblemCode, { status: ContentfulStatusCode; title: string }>> = {
  'bad-json': { status: 400, title: 'The body is not JSON' },
  invalid: { status: 422, title: 'Something in the request is wrong' },
  'too-large': { status: 413, title: 'The body is too large' },
  'too-many': { status: 429, title: 'Too many requests from one address' },
  'wrong-type': { status: 415, title: 'A body of this type is not taken here' },
  'foreign-host': { status: 403, title: 'The server does not go by this name' },
  'foreign-page': { status: 403, title: 'A page of another site may not do this' },
  'not-found': { status: 404, title: 'There is nothing at this address' },
  'not-paired': { status: 401, title: 'This device was not let into the kitchen' },
  'may-not': { status: 403, title: 'This person may not do that' },
  'kept-aside': { status: 403, title: 'It waits for the lead' },
  'nobody-signed-in': { status: 409, title: 'Nobody is signed in at this device' },
  'pin-wrong': { status: 403, title: 'The PIN is not right' },
  'pin-wait': { status: 403, title: 'Too many wrong PINs' },
  'pin-missing': { status: 403, title: 'There is no PIN yet' },
  'code-wrong': { status: 403, title: 'The code is not right' },
  'in-use': { status: 409, title: 'It is used' },
  'last-owner': { status: 409, title: 'The kitchen needs an owner' },
  'unknown-dish': { status: 422, title: 'No such dish in the book' },
  'unknown-modifier': { status: 422, title: 'The dish has no such modifier' },
  'unknown-station': { status: 422, title: 'The kitchen has no such station' },
  'modifier-removes-rice': { status: 422, title: 'A modifier may not remove the rice' },
  'allergen-stays': { status: 422, title: 'The dish cannot be made without this allergen' },
  'allergen-unknown': { status: 422, title: 'Nobody knows whether the allergen is in it' },
  'stand-in-raw': { status: 422, title: 'What stands in is raw and would have no check' },
  'stand-in-unsafe': { status: 422, title: 'What stands in is not known to be free of the allergy' },
  'allergen-may': { status: 422, title: 'It may contain the allergen' },
  'not-cookable': { status: 422, title: 'The batch cannot be cooked like this at this station' },
  'not-washed': { status: 409, title: 'The station was not washed' },
  'promise-past': { status: 422, title: 'The promise lies in the past' },
  'already-fired': { status: 409, title: 'These portions are already fired' },
  'nothing-left': { status: 409, title: 'The ticket is cancelled' },
  'station-busy': { status: 409, title: 'The station has a run' },
  'station-too-small': { status: 422, title: 'The batch is larger than the station takes' },
  'wrong-station': { status: 422, title: 'The dish is not cooked on this kind of station' },
  'unknown-run': { status: 404, title: 'There is no such run' },
  'unknown-complaint': { status: 422, title: 'There is no such complaint' },
  'unknown-step': { status: 422, title: 'The run has no such step' },
  'unknown-staff': { status: 422, title: 'Nobody of that name works here' },
  'run-over': { status: 409, title: 'The run is over' },
  'clock-ahead': { status: 422, title: 'The time lies in the future' },
  'clock-behind': { status: 422, title: 'The time lies before the beginning' },
  'csv-encoding': { status: 422, title: 'The file is not UTF-8 text' },
  'csv-columns': { status: 422, title: 'A column is missing' },
  'csv-too-long': { status: 422, title: 'The file has too many lines' },
  'csv-line': { status: 422, title: 'A line of the file cannot be read' },
  'id-taken': { status: 409, title: 'The id belongs to something else' },
  'unknown-lot': { status: 404, title: 'There is no such lot' },
  'unknown-place': { status: 422, title: 'The kitchen has no such place or vessel' },
  'lot-short': { status: 409, title: 'The lot has less rice than that' },
  'lot-not-cold': { status: 409, title: 'The lot is not cold yet' },
  'lot-frozen-once': { status: 409, title: 'The lot was frozen once' },
  'lot-not-back': { status: 409, title: 'The lot may not go back into the cold' },
  'lot-depth': { status: 422, title: 'No tray is that deep' },
  'lot-lead': { status: 403, title: 'Only the lead may say this' },
  'lot-proven': { status: 409, title: 'The lot is not unproven' },
  'lot-between': { status: 422, title: 'The rice is neither cold nor hot' },
  'lot-reheated': { status: 422, title: 'Rice is reheated once only' },
  'lot-age': { status: 422, title: 'The age of the rice is not right' },
  'edited-meanwhile': { status: 409, title: 'Somebody else changed this meanwhile' },
  'name-taken': { status: 409, title: 'The name is taken' },
  'unknown-ingredient': { status: 422, title: 'The ingredient is not in the table' },
  'ingredient-used': { status: 409, title: 'The ingredient is used' },
  'recipe-used': { status: 409, title: 'The sub-recipe is used' },
  'recipe-cycle': { status: 422, title: 'The sub-recipe contains itself' },
  'recipe-missing': { status: 422, title: 'A sub-recipe uses something that is not there' },
  'not-a-recipe': { status: 422, title: 'There is no recipe in the file' },
  'service-past': { status: 409, title: 'The service is over' },
  'unknown-item': { status: 422, title: 'The book has no such item' },
  'archive-cut': { status: 422, title: 'The file is not whole' },
  'archive-foreign': { status: 422, title: 'The file is no kitchen' },
  'archive-altered': { status: 422, title: 'The file was changed' },
  'archive-newer': { status: 422, title: 'A newer Okazu has written the file' },
  'archive-older': { status: 422, title: 'An older Okazu has written the file' },
  'archive-bomb': { status: 422, title: 'The file holds too much' },
  'archive-gap': { status: 409, title: 'A part before this one is missing' },
  'kitchen-not-empty': { status: 409, title: 'The kitchen is not empty' },
  'no-room': { status: 409, title: 'The disk is full' },
  'no-instrument': { status: 409, title: 'The kitchen does not have this instrument' },
  printer: { status: 409, title: 'The printer did not print' },
  printing: { status: 503, title: 'Too much is being printed' },
  database: { status: 503, title: 'The database does not answer' },
  internal: { status: 500, title: 'The server failed' },
}

type ProblemParts = { detail: string; faults?: Fault[]; values?: Record<string, string | number> }

/** A refusal with a stable code; only `app.ts` turns it into a response. */
export class Problem extends Error {
  constructor(
    readonly code: ProblemCode,
    readonly parts: ProblemParts,
  ) {
    super(parts.detail)
  }

  get status(): ContentfulStatusCode {
    return PROBLEMS[this.code].status
  }

  toJSON(): ProblemDetails {
    const { status, title } = PROBLEMS[this.code]
    const { detail, faults = [], values = {} } = this.parts
    return { type: `urn:okazu:problem:${this.code}`, title, status, detail, code: this.code, faults, values }
  }
}
