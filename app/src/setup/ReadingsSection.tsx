import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Kitchen } from 'contract/kitchen'
import { TEMP_UNITS } from 'core/measure/temperature'
import { View } from 'react-native'
import { sendJson } from '../device/http'
import { Choice } from '../ui/Choice'
import { Notice } from '../ui/Notice'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'

/** What thermometers speak here, and whether rice is reheated as Scotland asks. */
export function ReadingsSection({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const queries = useQueryClient()
  const change = useMutation({
    mutationFn: (input: Pick<Kitchen, 'readsIn' | 'isScottish'>) =>
      sendJson('PUT', '/kitchen/readings', input, Kitchen),
    onSuccess: (saved) => queries.setQueryData(['kitchen'], saved),
  })
  const problem = useProblemSentence(change.error)
  const { readsIn, isScottish } = kitchen
  return (
    <View>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Text tone="ash" className="mt-2">
        {t('readsIn')}
      </Text>
      <View role="radiogroup" aria-label={t('readsIn')} className="-ml-3 flex-row flex-wrap">
        {TEMP_UNITS.map((unit) => (
          <Choice
            key={unit}
            role="radio"
            label={`°${unit}`}
            isChosen={unit === readsIn}
            onChoose={() => change.mutate({ readsIn: unit, isScottish })}
          />
        ))}
      </View>
      <Text tone="ash">{t('readsInDetail')}</Text>
      {kitchen.ruleSet === 'uk' && (
        <Choice
          role="checkbox"
          label={t('scotland')}
          isChosen={isScottish}
          onChoose={() => change.mutate({ readsIn, isScottish: !isScottish })}
          className="self-start"
        />
      )}
    </View>
  )
}
