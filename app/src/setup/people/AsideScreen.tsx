import type { Aside } from 'contract/people'
import { View } from 'react-native'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useKitchen } from '../useKitchen'
import { nameOfStaff } from '../../people/nameOfStaff'
import { useAside, useDecideAside } from './usePeople'
import { HousePage } from '../house/HousePage'
import { Asked } from './Asked'

const KINDS = ['tickets', 'runs', 'rice', 'mise', 'line', 'stations', 'tastings', 'complaints'] as const

/** What somebody said who might not: a lead takes it in their own name, or leaves it. */
export function AsideScreen() {
  const t = useWords('people')
  const isLead = useMay('decide')
  const aside = useAside()
  const decide = useDecideAside()
  const problem = useProblemSentence(decide.error)
  return (
    <HousePage title={t('setup.aside')}>
      <Text tone="ash">{t('setup.asideDetail')}</Text>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Asked mayRead={isLead} otherwise={t('setup.leadOnly')} query={aside} data={aside.data}>
        {({ aside: list }) => (
          <>
            {list.length === 0 && <Text>{t('setup.asideNone')}</Text>}
            {list.map((one) => (
              <Kept
                key={one.id}
                one={one}
                isBusy={decide.isPending}
                onDecide={(isTaken) =>
                  decide.mutate({ one, isTaken }, { onSuccess: () => toast(t(isTaken ? 'setup.taken' : 'setup.left')) })
                }
              />
            ))}
          </>
        )}
      </Asked>
    </HousePage>
  )
}

type KeptProps = { one: Aside; isBusy: boolean; onDecide: (isTaken: boolean) => void }

function Kept({ one, isBusy, onDecide }: KeptProps) {
  const t = useWords('people')
  const kitchen = useKitchen().data
  const zone = kitchen?.timeZone ?? 'UTC'
  const name = nameOfStaff(kitchen, one.staffId) ?? t('who.nobody')
  const kind = KINDS.find((word) => one.path.startsWith(`/${word}`)) ?? 'line'
  const words = wordsOf(one.body)
  return (
    <View className="gap-2 border-t border-edge pt-3">
      <Text weight="semi">
        {t('setup.asideOf', { name, device: one.deviceName, time: formatTime(one.keptAtMs, zone) })}
      </Text>
      <Text>{[t(`setup.something.${kind}`), words].filter(Boolean).join(': ')}</Text>
      <View className="flex-row gap-2">
        <HoldButton
          className="flex-1"
          label={t('setup.take')}
          detail={t('setup.takeDetail')}
          onHeld={() => onDecide(true)}
        />
        <Button
          className="flex-1"
          label={t('setup.leave')}
          detail={t('setup.leaveDetail')}
          isBusy={isBusy}
          onPress={() => onDecide(false)}
        />
      </View>
    </View>
  )
}

/** The kinds of what was said, as they were sent: "cancelled", "pin". */
function wordsOf(body: unknown): string {
  const lists = typeof body === 'object' && body !== null ? Object.values(body) : []
  const said = lists.flatMap((list) => (Array.isArray(list) ? (list as unknown[]) : []))
  const kinds = said.flatMap((one) =>
    typeof one === 'object' && one !== null && 'kind' in one && typeof one.kind === 'string' ? [one.kind] : [],
  )
  return [...new Set(kinds)].join(', ')
}
