import { Sheet } from '../../../ui/Sheet'
import { formatTime } from '../../../words/format'
import { useWords } from '../../../words/i18n'
import { sayOfLot } from '../../useLots'
import type { LotPage } from '../lotPage'
import { ReadingBar } from '../ReadingBar'

/** A check of a lot that is cold already. */
export function ReadSheet({ shown, kitchen, nowMs, onClose }: LotPage & { onClose: () => void }) {
  const t = useWords('rice')
  const { lot, state } = shown
  return (
    <Sheet title={t('lot.read')} isOpen onClose={onClose}>
      <ReadingBar
        expectedC={state.lastTempC ?? 4}
        detail={t('cool.logDetail', { time: formatTime(nowMs, kitchen.timeZone), n: state.readings.length + 1 })}
        onLog={(tempC) => {
          sayOfLot(lot.id, { kind: 'read', tempC, source: 'dial', doubt: null })
          onClose()
        }}
      />
    </Sheet>
  )
}
