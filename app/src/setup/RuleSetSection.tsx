import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Kitchen } from 'contract/kitchen'
import { RULE_SETS, type RuleSet } from 'core/safety/limits'
import { useState } from 'react'
import { View } from 'react-native'
import { sendJson } from '../device/http'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Notice } from '../ui/Notice'
import { Sheet } from '../ui/Sheet'
import { useProblemSentence } from '../ui/states'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useWords } from '../words/i18n'

/** The rule set in force; changing it is asked about, since rice that is cooling must then keep both. */
export function RuleSetSection({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const queries = useQueryClient()
  const [wanted, setWanted] = useState<RuleSet | null>(null)
  const change = useMutation({
    mutationFn: (ruleSet: RuleSet) => sendJson('PUT', '/kitchen/rule-set', { ruleSet }, Kitchen),
    onSuccess: (saved) => {
      queries.setQueryData(['kitchen'], saved)
      void queries.invalidateQueries({ queryKey: ['rice'] })
      setWanted(null)
    },
  })
  const problem = useProblemSentence(change.error)
  return (
    <View>
      <Text tone="ash" className="mt-2">
        {t('ruleSet')}
      </Text>
      <View role="radiogroup" aria-label={t('ruleSet')} className="-ml-3 flex-row flex-wrap">
        {RULE_SETS.map((ruleSet) => (
          <Choice
            key={ruleSet}
            role="radio"
            label={t(`ruleSets.${ruleSet}`)}
            isChosen={ruleSet === kitchen.ruleSet}
            onChoose={() => setWanted(ruleSet === kitchen.ruleSet ? null : ruleSet)}
          />
        ))}
      </View>
      <Text tone="ash">{t('ruleSetDetail')}</Text>
      {wanted && (
        <Sheet title={t('ruleSetChange', { name: t(`ruleSets.${wanted}`) })} isOpen onClose={() => setWanted(null)}>
          <View className="gap-3">
            {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
            <Text>{t('ruleSetCooling')}</Text>
            <Button
              kind="main"
              isTall
              isBusy={change.isPending}
              label={t('ruleSetDo', { name: t(`ruleSets.${wanted}`) })}
              onPress={() => {
                const before = kitchen.ruleSet
                change.mutate(wanted, {
                  onSuccess: () =>
                    toast(t('ruleSetChanged', { name: t(`ruleSets.${wanted}`) }), () => change.mutate(before)),
                })
              }}
            />
          </View>
        </Sheet>
      )}
    </View>
  )
}
