import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { onDataFolder } from './test/dataFolder'

const folder = mkdtempSync(join(tmpdir(), 'okazu-own '))
afterAll(() => rmSync(folder, { recursive: true, force: true }))
const { run, startOnce, sql } = onDataFolder(folder)
const owner = () => run(['tools/owner.sh'])

test('an own kitchen is begun empty; the owner is helped on the machine itself, and only where there is one', () => {
  expect(owner()).toMatchObject({ status: 1, said: expect.stringMatching(/there is no kitchen in/) })

  expect(startOnce({ OKAZU_NEW: '1' }).said).toMatch(/Begin your own kitchen at http\S+code=[0-9A-Z]{4}-[0-9A-Z]{4}/)
  expect(sql('SELECT id FROM kitchen')).toBe('our-kitchen')
  expect(owner()).toMatchObject({ status: 0, said: expect.stringMatching(/our-kitchen: nobody owns it yet/) })

  sql("INSERT INTO staff (kitchen_id, id, name, role, position) VALUES ('our-kitchen', 'mara', 'Mara', 'owner', 0)")
  const helped = owner()
  expect(helped.said).toMatch(/our-kitchen: Mara has the PIN \d{6} from now on/)
  expect(helped.said).toMatch(/one device comes in within half an hour by the code [0-9A-Z]{4}-[0-9A-Z]{4}/)
  expect(sql("SELECT pin_hash LIKE 'scrypt%', (SELECT what FROM audit) FROM staff")).toBe('1\trecovered')

  // What is there stays: no sample kitchen, no second own one.
  expect(startOnce({ OKAZU_NEW: '1' }).said).toMatch(/npm run owner helps an owner who is locked out/)
  expect(startOnce().said).toMatch(/npm run owner/)
  expect(sql('SELECT COUNT(*) FROM kitchen')).toBe('1')
})
