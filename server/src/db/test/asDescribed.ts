import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020'
import addFormats from 'ajv-formats'
import type { ApiDocument } from '../../http/describe'

type Answer = { method: string; path: string; status: number; type: string; json: unknown }

const pointer = (...words: string[]) =>
  words.map((word) => `/${encodeURIComponent(word.replaceAll('~', '~0').replaceAll('/', '~1'))}`).join('')

/** Compares answers with the OpenAPI document: address, status, type and every field. One for a process: it is compiled once. */
export class AsDescribed {
  private readonly ajv = addFormats(new Ajv2020({ strict: false, allErrors: true, validateFormats: true }))
  private readonly known = new Map<string, ValidateFunction>()
  private readonly paths: { path: string; pattern: RegExp }[]

  constructor(private readonly document: ApiDocument) {
    this.ajv.addSchema(document, 'okazu')
    this.paths = Object.keys(document.paths)
      .map((path) => ({ path, pattern: new RegExp(`^${path.replace(/\{\w+\}/g, '[^/]+')}$`) }))
      // A word of its own stands before a name: /runs/export before /runs/{id}.
      .sort((a, b) => Number(a.path.includes('{')) - Number(b.path.includes('{')))
  }

  /** What is not as described, in words; null where everything is. */
  differs({ method, path, status, type, json }: Answer): string | null {
    const [bare = ''] = path.split('?')
    const described = this.paths.find(
      (one) => one.pattern.test(bare) && this.document.paths[one.path]![method.toLowerCase()] !== undefined,
    )
    if (!described) return null
    const operation = this.document.paths[described.path]![method.toLowerCase()]!
    const where = `${method} ${described.path} answered ${status} ${type}`
    const response = operation.responses[String(status)]
    if (!response) return `${where}: this status is not described`
    const [bareType = ''] = type.split(';')
    if (bareType === '' && response.content === undefined) return null
    if (response.content?.[bareType] === undefined) return `${where}: this type is not described`
    if (!bareType.endsWith('json')) return null
    const at = pointer(
      'paths',
      described.path,
      method.toLowerCase(),
      'responses',
      String(status),
      'content',
      bareType,
      'schema',
    )
    const check = this.known.get(at) ?? this.ajv.compile({ $ref: `okazu#${at}` })
    this.known.set(at, check)
    return check(json) ? null : `${where}: ${this.ajv.errorsText(check.errors?.slice(0, 3))}`
  }
}
