import type { Role } from 'core/book/dish'
import { STAGES, type StageShare } from 'core/book/dish'
import { restOf, STAGED_ROLES, withStage } from 'core/book/stages'
import { useState } from 'react'
import { View } from 'react-native'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

type StageSharesProps = {
  name: string
  role: Role
  stages: readonly StageShare[]
  onChange: (stages: readonly StageShare[]) => void
}

const percentOf = (share: number) => Math.round(share * 100)

/** In which stages how much of a line goes in, where it does not all go in at once. */
export function StageShares({ name, role, stages, onChange }: StageSharesProps) {
  const t = useWords('book')
  const [isOpen, setIsOpen] = useState(stages.length > 0)
  if (!STAGED_ROLES.includes(role)) return null
  return (
    <View className="gap-1">
      <Choice
        role="checkbox"
        label={t('editor.inStages')}
        note={isOpen ? undefined : t('editor.inStagesHow')}
        isChosen={isOpen}
        isRow
        className="-ml-3 self-start"
        onChoose={() => {
          setIsOpen(!isOpen)
          if (isOpen) onChange([])
        }}
      />
      {isOpen && (
        <>
          <View role="group" aria-label={t('editor.inStagesOf', { name })} className="flex-row flex-wrap gap-2">
            {STAGES.map((at) => {
              const share = stages.find((one) => one.at === at)?.share ?? 0
              return (
                <Field
                  key={at}
                  label={t(`editor.stages.${at}`)}
                  value={share === 0 ? '' : String(percentOf(share))}
                  inputMode="numeric"
                  maxLength={3}
                  className="w-[112px]"
                  onChange={(text) => onChange(withStage(stages, at, Number(text.replace(/\D/g, '')) / 100))}
                />
              )
            })}
          </View>
          <Text size="small" tone="ash">
            {t('editor.stageRest', { percent: percentOf(restOf(stages) ?? 0) })}
          </Text>
        </>
      )}
    </View>
  )
}
