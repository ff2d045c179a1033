import type { DishChange } from 'core/book/compareDish'
import { useWords } from '../../words/i18n'

const gram = (value: number) => `${Number(value.toFixed(value < 10 ? 2 : 1))} g`

/** Changes of a dish in one line, ratios to 100 g of rice. */
export function useChangeWords(): (changes: readonly DishChange[]) => string {
  const t = useWords('book')
  return (changes) =>
    changes
      .map((change) => {
        switch (change.kind) {
          case 'added':
            return t('editor.changes.added', { name: change.name, to: gram(change.ratioG) })
          case 'removed':
            return t('editor.changes.removed', { name: change.name })
          case 'changed':
            return change.fromG === change.toG
              ? t('editor.changes.other', { name: change.name })
              : t('editor.changes.changed', { name: change.name, from: gram(change.fromG), to: gram(change.toG) })
          case 'moved':
            return t('editor.changes.moved')
          case 'head':
            return t('editor.changes.head', { field: change.field })
        }
      })
      .join(' · ')
}
