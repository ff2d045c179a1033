import { typedWaves, wavesSchema } from './wavesForm'

const schema = wavesSchema((key) => key)
const waves = { spans: [{ weekdays: [1, 5], fromMin: 1050, toMin: 1290, everyMin: 30 }], stayMin: 12 }
const typed = typedWaves(waves)
const span = (change: object) => schema.safeParse({ ...typed, spans: [{ ...typed.spans[0]!, ...change }] })
const faults = (read: ReturnType<typeof span>) =>
  read.error?.issues.map(({ path, message }) => `${path.join('.')} ${message}`)

test('what is shown is read as it was', () => {
  expect(typed.spans[0]).toMatchObject({ fromMin: '17:30', toMin: '21:30', everyMin: '30' })
  expect(schema.parse(typed)).toEqual(waves)
})

test.each([
  ['18', 1080],
  ['18.45', 1125],
  ['1845', 1125],
  [' 7:05 ', 425],
  ['18h30', 1110],
])('"%s" is a time of the day', (text, minute) => {
  expect(span({ fromMin: text }).data?.spans[0]!.fromMin).toBe(minute)
})

test.each([
  [{ fromMin: '24:00' }, 'spans.0.fromMin clock'],
  [{ fromMin: '' }, 'spans.0.fromMin clock'],
  [{ toMin: '18:60' }, 'spans.0.toMin clock'],
  [{ toMin: '17:00' }, 'spans.0.toMin order'],
  [{ everyMin: '4' }, 'spans.0.everyMin every'],
  [{ everyMin: '12.5' }, 'spans.0.everyMin every'],
  [{ weekdays: [] }, 'spans.0.weekdays days'],
])('%j: the fault stands at its field', (change, fault) => {
  expect(faults(span(change))).toEqual([fault])
})
