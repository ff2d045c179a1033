import { READING_NOW_MS } from 'core/rice/lot/lotHolding'
import { NONE } from '../../../device/worked'
import { Sheet } from '../../../ui/Sheet'
import { Text } from '../../../ui/Text'
import { formatTime } from '../../../words/format'
import { useWords } from '../../../words/i18n'
import { useMoveTo } from '../moveTo'
import type { LotPage } from '../lotPage'
import { ReadingBar } from '../ReadingBar'
import { useSayReading } from '../useSayReading'

/** A check of a lot that is cold already; going back into the cold, the reading that is asked for then. */
export function ReadSheet({ onClose, goesBack, ...page }: LotPage & { goesBack: boolean; onClose: () => void }) {
  const { shown, kitchen, nowMs } = page
  const t = useWords('rice')
  const { state } = shown
  const moveTo = useMoveTo(page)
  const { log, ask } = useSayReading(page, null, { then: goesBack ? [moveTo('fridge')] : [], onSaid: onClose })
  return (
    <>
      <Sheet title={t(goesBack ? 'lot.backRead' : 'lot.read')} isOpen onClose={onClose}>
        {goesBack && <Text tone="ash">{t('lot.backDetail', { min: READING_NOW_MS / 60_000 })}</Text>}
        <ReadingBar
          readsIn={kitchen.readsIn}
          aroundC={state.lastTempC ?? 4}
          expectedC={NONE}
          detail={t('cool.logDetail', { time: formatTime(nowMs, kitchen.timeZone), n: state.readings.length + 1 })}
          onLog={log}
        />
      </Sheet>
      {ask}
    </>
  )
}
