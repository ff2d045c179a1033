import { PROBE_FAULTS } from 'contract/rice'
import { View } from 'react-native'
import { Button } from '../../../ui/Button'
import { Choice } from '../../../ui/Choice'
import { Notice } from '../../../ui/Notice'
import { Sheet } from '../../../ui/Sheet'
import { useProblemSentence } from '../../../ui/states'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'
import type { LotPage } from '../lotPage'
import { useProbe, useSetProbe } from '../useProbe'

/** Puts the simulated probe into this lot, takes it out, or makes it fail. */
export function ProbeSheet({ shown, onClose }: LotPage & { onClose: () => void }) {
  const t = useWords('rice')
  const probe = useProbe().data
  const set = useSetProbe()
  const problem = useProblemSentence(set.error)
  const { id, name } = shown.lot
  const isHere = probe?.lotId === id
  return (
    <Sheet title={t('probe.title')} isOpen onClose={onClose}>
      <View className="gap-3">
        <Text>{t('probe.simulated')}</Text>
        <Text tone="ash">{t('probe.clean')}</Text>
        {Boolean(probe?.lotId) && !isHere && <Text weight="bold">{t('probe.elsewhere')}</Text>}
        {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
        <Button
          kind={isHere ? 'plain' : 'main'}
          isTall
          isBusy={set.isPending}
          label={isHere ? t('probe.takeOut') : t('probe.putIn', { name })}
          onPress={() => set.mutate({ lotId: isHere ? null : id, fault: 'none' })}
        />
        {isHere && (
          <View>
            <Text tone="ash">{t('probe.fault')}</Text>
            <View role="radiogroup" aria-label={t('probe.fault')} className="flex-row flex-wrap">
              {PROBE_FAULTS.map((fault) => (
                <Choice
                  key={fault}
                  role="radio"
                  label={t(`probe.faults.${fault}`)}
                  isChosen={probe.fault === fault}
                  onChoose={() => set.mutate({ lotId: id, fault })}
                />
              ))}
            </View>
          </View>
        )}
      </View>
    </Sheet>
  )
}
