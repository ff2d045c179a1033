import { View } from 'react-native'
import { Choice } from '../ui/Choice'
import { Dial } from '../ui/Dial'
import { Text } from '../ui/Text'
import { formatTime } from '../words/format'
import { useWords } from '../words/i18n'
import type { TicketDraft } from './draftTicket'
import { nextBoatsMs } from './nextForHands'
import type { Line } from './useLinePlan'

const STOOLS = 14
/** As many as fit beside "at once". */
const BOATS = 3

type WantedProps = {
  draft: TicketDraft
  line: Line
  nowMs: number
  readyMs: number | null
  onChange: (draft: TicketDraft) => void
}

/** When it is wanted, and where. */
export function Wanted({ draft, line, nowMs, readyMs, onChange }: WantedProps) {
  const t = useWords('line')
  const zone = line.kitchen.timeZone
  const boats = nextBoatsMs(line.kitchen, nowMs, BOATS)
  return (
    <View className="gap-1 px-4 py-2">
      <Text weight="bold">{t('add.promise')}</Text>
      <View role="radiogroup" aria-label={t('add.promise')} className="flex-row flex-wrap">
        <Choice
          role="radio"
          label={readyMs === null ? t('add.atOnce') : `${t('add.atOnce')} ${formatTime(readyMs, zone)}`}
          isChosen={draft.promisedAtMs === null}
          onChoose={() => onChange({ ...draft, promisedAtMs: null })}
        />
        {boats.map((ms) => (
          <Choice
            key={ms}
            role="radio"
            label={t('add.boat', { time: formatTime(ms, zone) })}
            isChosen={draft.promisedAtMs === ms}
            onChoose={() => onChange({ ...draft, promisedAtMs: ms })}
          />
        ))}
      </View>
      <View className="flex-row flex-wrap items-center gap-2">
        <View role="radiogroup" aria-label={t('add.where')} className="flex-row">
          <Choice
            role="radio"
            label={t('add.hatch')}
            isChosen={draft.kind === 'take'}
            onChoose={() => onChange({ ...draft, kind: 'take' })}
          />
          <Choice
            role="radio"
            label={t('add.stool', { n: draft.stool })}
            isChosen={draft.kind === 'dine'}
            onChoose={() => onChange({ ...draft, kind: 'dine' })}
          />
        </View>
        {draft.kind === 'dine' && (
          <View className="w-56">
            <Dial
              name={t('add.stoolNo')}
              value={draft.stool}
              least={1}
              most={STOOLS}
              unit=""
              lessLabel={t('add.less')}
              moreLabel={t('add.more')}
              onChange={(stool) => onChange({ ...draft, stool })}
            />
          </View>
        )}
      </View>
    </View>
  )
}
