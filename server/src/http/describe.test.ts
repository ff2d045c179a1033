import { execFileSync } from 'node:child_process'
import { openTestKitchen, send, type TestKitchen } from '../db/test/testKitchen'
import type { ApiDocument } from './describe'

let kitchen: TestKitchen
let document: ApiDocument
beforeAll(async () => {
  kitchen = await openTestKitchen()
  document = (await send(kitchen.app, 'GET', '/openapi.json')).json
})
afterAll(() => kitchen.close())

test('the document passes the recommended rules of a linter of others', () => {
  const script = `${__dirname}/../../../tools/lintApi.mjs`
  const problems = execFileSync('node', [script], { input: JSON.stringify(document), encoding: 'utf8' })
  expect(problems.split('\n').filter(Boolean)).toEqual([])
})

test('what may be left out is optional, what must be there is required', () => {
  const { content } = document.paths['/api/dishes']!['get']!.responses['200']!
  const { properties } = content!['application/json']!.schema as {
    properties: { dishes: { items: { required: string[] } } }
  }
  expect(properties.dishes.items.required).toEqual(expect.arrayContaining(['id', 'name', 'components']))
  expect(properties.dishes.items.required).not.toContain('priceMinor')
})

test('live updates, refusals and types of bodies are in it', () => {
  expect(document.paths['/api/live']!['get']!.responses['200']!.content).toHaveProperty('text/event-stream')
  const { responses } = document.paths['/api/tickets']!['post']!
  for (const status of ['400', '403', '404', '409', '413', '415', '422', '429', '503'])
    expect(responses[status]!.content).toHaveProperty('application/problem+json')
})
