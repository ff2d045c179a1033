import type { EditedDish, DraftHead, DraftLine } from './draft'
import { edited, historyOf, type Edit, type History } from './history'

/**
 * A draft with its past and future, outside of any screen: a row follows its own line, so that a key typed draws one row
 * and not the page.
 */
export class DraftStore {
  private listeners = new Set<() => void>()
  history: History

  constructor(draft: EditedDish) {
    this.history = historyOf(draft)
  }

  edit = (edit: Edit, atMs: number): void => {
    const next = edited(this.history, edit, atMs)
    if (next === this.history) return
    this.history = next
    this.listeners.forEach((listener) => listener())
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  line = (key: string): DraftLine | undefined => this.history.present.lines.find((line) => line.key === key)

  head = (): DraftHead => this.history.present.head
}
