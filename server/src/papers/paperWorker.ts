/** What the threads of `paperThreads` run. */
export { drawAsked as default } from './papers'
