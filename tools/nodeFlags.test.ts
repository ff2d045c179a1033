import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'

const flags = readFileSync(join(__dirname, 'server-node-flags'), 'utf8').trim().split(' ')

test('Node takes the flags that the server runs under, and its heap is bounded by them', () => {
  const limit = "process.stdout.write(String(require('node:v8').getHeapStatistics().heap_size_limit))"
  const bytes = Number(execFileSync(process.execPath, [...flags, '-e', limit], { encoding: 'utf8' }))
  const unbounded = Number(execFileSync(process.execPath, ['-e', limit], { encoding: 'utf8' }))
  expect(bytes).toBeLessThan(700 * 2 ** 20)
  expect(bytes).toBeLessThan(unbounded)
})

test('the start command reads the same file', () => {
  expect(readFileSync(join(__dirname, 'start.sh'), 'utf8')).toContain('server-node-flags')
})
