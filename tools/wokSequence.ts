import { WokSequenceInput, WokSequenceOutput } from 'contract/wokSequence'
import { usualHandling } from 'core/wok/heat/usualStations'
import type { FaultCode } from 'core/wok/sequence/judge'
import type { Change } from 'core/wok/sequence/repair'
import { sequenceBatch, type Finding } from 'core/wok/sequence/sequenceBatch'
import type { Answer, Model } from './model'
import { stationOf } from './wokModels'

/** What each fault says on the command line; the screens have words of their own. */
const FAULT_WORDS: Readonly<Record<FaultCode | 'noRice', string>> = {
  noRice: 'there is no rice in it',
  rawCold: 'the core does not reach its limit, or not for long enough to count',
  eggRaw: 'the egg is not cooked through',
  coatedWet: 'the grains do not fry dry after they were coated',
  riceCold: 'the rice does not get hot in the middle',
  readyCold: 'it does not get hot',
  burnt: 'it burns',
  tenderOnFlame: 'a soft herb would go over the flame',
  tooFull: 'the vessel is too full to work in',
  steams: 'the rice steams: it does not fry dry in four minutes',
  splitAllergen: 'some of the guests must not have it, and it has to be cooked with the rest',
  neverHot: 'the metal never gets to its heat',
  missing: 'it has no place in the run',
}

function changeWords(change: Change): string {
  switch (change.kind) {
    case 'cut':
      return `cut ${change.componentId} to ${change.sizeMm} mm`
    case 'thaw':
      return `thaw ${change.componentId} first`
    case 'blanch':
      return `blanch ${change.componentId} first`
    case 'openHeat':
      return 'cook at full flame'
    case 'addRice':
      return 'add cooked rice'
    case 'riceWarmer':
      return `let the rice come to ${change.tempC} °C, within its time`
    case 'batches':
      return `fry ${change.count} batches of ${change.batchMassG} g of rice`
    case 'otherEgg':
      return 'leave the school of the egg open'
    case 'otherSchools':
      return 'leave the schools open'
  }
}

const findingWords = ({ bad, change }: Finding) => ({
  bad: bad.map((one) => ({ ...one, why: FAULT_WORDS[one.code] })),
  change: change && { ...change, text: changeWords(change) },
})

function sequenceOne(raw: unknown): Answer {
  const { dish, station, pins, ruleSet, ...input } = WokSequenceInput.parse(raw)
  const { handling, ...measures } = station
  const heatStation = stationOf(measures)
  const sequenced = sequenceBatch({
    ...input,
    dish: { ...dish, pins: [...(dish.pins ?? []), ...(pins ?? [])] },
    station: heatStation,
    handling: handling ?? usualHandling(heatStation),
    rules: { ruleSet },
  })
  const finding = sequenced.finding && findingWords(sequenced.finding)
  return {
    kind: 'output',
    output: {
      ...sequenced,
      finding,
      reason:
        finding &&
        `${finding.bad.map(({ why, componentIds }) => [componentIds.join(', '), why].filter(Boolean).join(': ')).join('; ')}${finding.change ? `. Try: ${finding.change.text}` : ''}`,
    },
  }
}

/** The engine that derives how a batch is cooked. */
export const SEQUENCE_MODELS: Readonly<Record<string, Model>> = {
  'wok.sequence': { input: WokSequenceInput, output: WokSequenceOutput, run: sequenceOne },
}
