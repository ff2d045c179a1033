import type { Stave } from 'core/mise/ready/readiness'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Diamond } from '../../ui/icons'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { capital, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { sayOfMise, undoMise } from '../useMise'
import type { Mise } from '../useKitchenPlan'
import { useFixWords } from './useFixWords'

/** One thing that is not ready: for how many portions, what would mend it, by when; stations and checks are ticked here. */
export function OpenStave({ mise, stave, name }: { mise: Mise; stave: Stave; name: string }) {
  const t = useWords('mise')
  const fixWords = useFixWords(mise)
  const { fix } = stave
  const planId = mise.next?.id ?? 'stock'
  const tick = () => {
    const ids = sayOfMise(planId, { kind: 'checked', checkId: stave.id })
    toast(t('ready.ticked', { name }), () => undoMise(planId, ids))
  }
  const doByMs = fix?.doByMs ?? null
  const isLate = doByMs !== null && doByMs < mise.nowMs
  const portions = Math.round(stave.shortPortions)
  return (
    <View role="listitem" className="min-h-14 flex-row items-center gap-3 border-b border-edge py-1">
      <View className="w-11 items-end">
        {portions > 0 && (
          <Text size="amount" weight="bold" stretch="narrow">
            {portions}
          </Text>
        )}
      </View>
      <View className="min-w-0 flex-1">
        <View className="flex-row items-center gap-2">
          {stave.state === 'short' && <Diamond sizePx={12} />}
          <Text size="step" weight="bold" stretch="slim" className="min-w-0 flex-1">
            {capital(name)}
          </Text>
        </View>
        <Text tone="ash" stretch="slim">
          {fixWords(stave)}
        </Text>
      </View>
      {fix?.kind === 'light' || fix?.kind === 'check' ? (
        <Button
          size="body"
          label={t('ready.tick')}
          accessibleName={t('ready.tickName', { name })}
          className="w-20"
          onPress={tick}
        />
      ) : (
        <View className="items-end">
          <Text size="step" weight="bold" stretch="narrow">
            {doByMs === null ? '–' : formatTime(doByMs, mise.kitchen.timeZone)}
          </Text>
          {isLate && (
            <Text size="small" weight="semi" stretch="narrow">
              {t('ready.late')}
            </Text>
          )}
        </View>
      )}
    </View>
  )
}
