import type { EditedDish, DraftHead, DraftLine } from './draft'

export type History = {
  past: readonly EditedDish[]
  present: EditedDish
  future: readonly EditedDish[]
  /** What was changed last, and when: typing on in one field is one step. */
  last: { field: string; atMs: number } | null
}

export type Edit =
  | { kind: 'line'; key: string; changes: Partial<DraftLine> }
  | { kind: 'head'; changes: Partial<DraftHead> }
  | { kind: 'insert'; afterKey: string | null; lines: readonly DraftLine[] }
  | { kind: 'remove'; key: string }
  | { kind: 'move'; key: string; to: number }
  | { kind: 'all'; draft: EditedDish }
  | { kind: 'undo' }
  | { kind: 'redo' }

const ONE_STEP_MS = 1000
const MAX_STEPS = 200

export const historyOf = (draft: EditedDish): History => ({ past: [], present: draft, future: [], last: null })

/** The next state of an editor; typing within a second in one field is one step of undo. */
export function edited(history: History, edit: Edit, atMs: number): History {
  const { past, present, future } = history
  if (edit.kind === 'undo') {
    const before = past.at(-1)
    if (!before) return history
    return { past: past.slice(0, -1), present: before, future: [present, ...future], last: null }
  }
  if (edit.kind === 'redo') {
    const [next, ...rest] = future
    return next ? { past: [...past, present], present: next, future: rest, last: null } : history
  }
  const draft = applied(present, edit)
  if (draft === present) return history
  const last = typedField(edit, atMs)
  const isOneStep =
    last !== null &&
    history.last?.field === last.field &&
    last.atMs - history.last.atMs < ONE_STEP_MS &&
    past.length > 0
  return { past: isOneStep ? past : [...past, present].slice(-MAX_STEPS), present: draft, future: [], last }
}

function applied(draft: EditedDish, edit: Exclude<Edit, { kind: 'undo' | 'redo' }>): EditedDish {
  const { lines } = draft
  switch (edit.kind) {
    case 'all':
      return edit.draft
    case 'head':
      return { ...draft, head: { ...draft.head, ...edit.changes } }
    case 'line':
      return { ...draft, lines: lines.map((line) => (line.key === edit.key ? { ...line, ...edit.changes } : line)) }
    case 'remove':
      return { ...draft, lines: lines.filter((line) => line.key !== edit.key) }
    case 'insert': {
      const at = edit.afterKey === null ? lines.length : lines.findIndex((line) => line.key === edit.afterKey) + 1
      return { ...draft, lines: [...lines.slice(0, at), ...edit.lines, ...lines.slice(at)] }
    }
    case 'move': {
      const from = lines.findIndex((line) => line.key === edit.key)
      const to = Math.max(0, Math.min(lines.length - 1, edit.to))
      const line = lines[from]
      if (!line || from === to) return draft
      const rest = lines.filter((one) => one !== line)
      return { ...draft, lines: [...rest.slice(0, to), line, ...rest.slice(to)] }
    }
  }
}

function typedField(edit: Edit, atMs: number): History['last'] {
  if (edit.kind === 'line') return { field: `${edit.key} ${Object.keys(edit.changes).join()}`, atMs }
  // Only letters are typed: a school or a pin is a step of its own.
  if (edit.kind === 'head' && Object.values(edit.changes).every((value) => typeof value !== 'object'))
    return { field: Object.keys(edit.changes).join(), atMs }
  return null
}
