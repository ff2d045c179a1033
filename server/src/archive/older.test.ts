import { migrationsIn } from '../db/migrate'
import { lackingSince } from './older'

const OURS = migrationsIn(new URL(`file://${__dirname}/../db/migrations/`))
/** The first migration at which a kitchen could be saved as a file. */
const FIRST = '0016_own_kitchen.sql'

test('a file of today lacks nothing; every file since there are files can be read', () => {
  expect(lackingSince(OURS.at(-1)!, OURS)).toEqual({})
  for (const schema of OURS.filter((name) => name >= FIRST)) expect(lackingSince(schema, OURS)).not.toBeNull()
})

test('where a migration since then is not known to add only, the file is refused', () => {
  expect(lackingSince(FIRST, [...OURS, '9999_other.sql'])).toBeNull()
  expect(lackingSince('0001_first_path.sql', OURS)).toBeNull()
})
