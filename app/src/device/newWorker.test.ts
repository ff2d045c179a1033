import { newWorker } from './newWorker'

const made: string[] = []
beforeEach(() => {
  made.length = 0
  document.head.innerHTML = ''
  global.Worker = class {
    constructor(path: string) {
      made.push(path)
    }
  } as unknown as typeof Worker
})

test('a worker is started from where the page says that it lies', () => {
  document.head.innerHTML = `<meta name="workers" content='{"wok":"/workers/wok-1.js","line":"/workers/line-2.js"}'>`
  newWorker('line')
  expect(made).toEqual(['/workers/line-2.js'])
})

test('a page that was not built says what to do', () => {
  expect(() => newWorker('wok')).toThrow('build the app with npm start')
  expect(made).toEqual([])
})
