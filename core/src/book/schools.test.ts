import { SCHOOLS, schoolsOfToday } from './schools'

test('what a file or a draft of before says of schools is said in today’s words', () => {
  expect(
    schoolsOfToday({ egg: 'none', heat: 'full', oil: 'lean', rice: 'crust', sauce: 'onMetal', wipe: 'afterOut' }),
  ).toEqual({ heat: 'full', oil: 'lean', rice: 'leaveCrust', sauce: 'wall', wipe: 'betweenStages' })
  expect(schoolsOfToday({ rice: 'tossed', wipe: 'never', sauce: 'offHeat', garlic: 'atEnd' })).toEqual({
    wipe: 'none',
    sauce: 'offHeat',
    garlic: 'atEnd',
  })
})

test('today’s words are left as they are, and so is what is no list of schools', () => {
  for (const [school, values] of Object.entries(SCHOOLS))
    for (const value of [...values, 'auto']) expect(schoolsOfToday({ [school]: value })).toEqual({ [school]: value })
  expect([schoolsOfToday(null), schoolsOfToday('full'), schoolsOfToday({ egg: 7 })]).toEqual([null, 'full', { egg: 7 }])
})
