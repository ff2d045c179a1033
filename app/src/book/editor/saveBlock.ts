import { readMoney } from 'core/measure/money'
import { useWords } from '../../words/i18n'
import { holdS, type DraftLine, type EditedDish } from '../draft/draft'
import type { ReadLine } from '../draft/readLines'

/** Why a dish cannot be saved yet, in words; undefined where it can. */
export function useSaveBlock(
  { head, lines }: EditedDish,
  read: (line: DraftLine) => ReadLine,
  riceG: number | null,
  currency: string,
): string | undefined {
  const t = useWords('book')
  if (head.name.trim() === '') return t('editor.saveNoName')
  if (riceG === null) return t('editor.saveNoRice')
  const unread = lines.filter((line) => line.name.trim() !== '' && read(line).massG === null).length
  if (unread > 0) return t('editor.saveBlocked', { count: unread })
  if ([head.holdFree, head.holdMost].some((text) => text.trim() !== '' && holdS(text) === null))
    return t('editor.saveHold')
  const isPriceRead = [head.price, head.ceiling].every((text) => !('fault' in readMoney(text, currency)))
  return isPriceRead && head.portionRiceG > 0 ? undefined : t('editor.savePrice')
}
