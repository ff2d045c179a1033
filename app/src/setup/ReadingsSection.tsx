import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Kitchen, type PutReadings } from 'contract/kitchen'
import { SCALE_UNITS } from 'core/measure/scaleUnit'
import { TEMP_UNITS } from 'core/measure/temperature'
import { useRef } from 'react'
import { View } from 'react-native'
import { sendJson } from '../device/http'
import { Choice } from '../ui/Choice'
import { Notice } from '../ui/Notice'
import { OneOf } from '../ui/OneOf'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'

/** What thermometers and scales show here, and whether rice is reheated as Scotland asks. */
export function ReadingsSection({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const { change, problem } = useReadings(kitchen)
  return (
    <View>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Text tone="ash" className="mt-2">
        {t('readsIn')}
      </Text>
      <OneOf
        name={t('readsIn')}
        of={TEMP_UNITS}
        chosen={kitchen.readsIn}
        words={(unit) => `°${unit}`}
        onChoose={(readsIn) => change({ readsIn })}
      />
      <Text tone="ash">{t('readsInDetail')}</Text>
      <Text tone="ash" className="mt-2">
        {t('weighsIn')}
      </Text>
      <OneOf
        name={t('weighsIn')}
        of={SCALE_UNITS}
        chosen={kitchen.weighsIn}
        words={(unit) => t(`scaleUnits.${unit}`)}
        onChoose={(weighsIn) => change({ weighsIn })}
      />
      <Text tone="ash">{t('weighsInDetail')}</Text>
      {kitchen.ruleSet === 'uk' && (
        <Choice
          role="checkbox"
          label={t('scotland')}
          isChosen={kitchen.isScottish}
          onChoose={() => change({ isScottish: !kitchen.isScottish })}
          className="self-start"
        />
      )}
    </View>
  )
}

/** Each change is said on top of the one before, also where that one has no answer yet. */
function useReadings(kitchen: Kitchen) {
  const queries = useQueryClient()
  const put = useMutation({
    mutationFn: (input: PutReadings) => sendJson('PUT', '/kitchen/readings', input, Kitchen),
    scope: { id: 'readings' },
    onSuccess: (saved) => queries.setQueryData(['kitchen'], saved),
  })
  // What was changed here and has no answer yet stands over what the kitchen is read to be meanwhile.
  const unsaved = useRef<{ parts: Partial<PutReadings>; count: number }>({ parts: {}, count: 0 })
  const change = (part: Partial<PutReadings>) => {
    const now = queries.getQueryData<Kitchen>(['kitchen']) ?? kitchen
    const mine = unsaved.current
    mine.parts = { ...mine.parts, ...part }
    mine.count += 1
    const next = { ...now, ...mine.parts }
    void queries.cancelQueries({ queryKey: ['kitchen'] })
    queries.setQueryData(['kitchen'], next)
    const { readsIn, weighsIn, isScottish } = next
    // Taken back field by field, also where this page was left meanwhile: what else became known of the kitchen stays.
    put
      .mutateAsync({ readsIn, weighsIn, isScottish })
      .catch(() => {
        const was = { readsIn: now.readsIn, weighsIn: now.weighsIn, isScottish: now.isScottish }
        queries.setQueryData<Kitchen>(['kitchen'], (known) => known && { ...known, ...was })
      })
      .finally(() => {
        mine.count -= 1
        if (mine.count === 0) mine.parts = {}
      })
  }
  return { change, problem: useProblemSentence(put.error) }
}
