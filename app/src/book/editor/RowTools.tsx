import { ROLES, SCALINGS } from 'core/book/dish'
import { likeNames } from 'core/book/lookUp'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import type { Shelf } from '../useShelf'
import type { DraftLine } from '../draft/draft'
import type { Edit } from '../draft/history'
import { roleOf, type ReadLine } from '../draft/readLines'
import { StandInSheet } from './sheets/StandInSheet'

/** More about the open line: its source, role, how it grows, what can stand in, taking it out. */
export function RowTools(props: {
  line: DraftLine
  read: ReadLine
  shelf: Shelf
  riceG: number | null
  isRecipe?: boolean
  edit: (edit: Edit) => void
}) {
  const { line, read, shelf, riceG, isRecipe = false, edit } = props
  const t = useWords('book')
  const [isStandIn, setIsStandIn] = useState(false)
  const change = (changes: Partial<DraftLine>) => edit({ kind: 'line', key: line.key, changes })
  const role = roleOf(line, read)
  const like = read.source ? [] : likeNames(shelf.rows, line.name)
  const grams = (text: string) => Math.max(0, Number(text.replace(',', '.')) || 0)
  return (
    <View className="mb-2 gap-1 rounded-lg bg-plate p-3">
      {read.source && (
        <Text size="small" tone="ash" stretch="slim">
          {[read.source.name, read.via, read.source.source, t(`confidence.${read.source.confidence}`)]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      )}
      {like.length > 0 && (
        <View className="gap-1">
          <Text size="small">{t('editor.guess')}</Text>
          <View className="flex-row flex-wrap gap-2">
            {like.map((one) => (
              <Button
                key={one.id}
                size="body"
                label={one.name}
                onPress={() => change({ name: one.aliases[0] ?? one.name, ingredientId: one.id })}
              />
            ))}
          </View>
        </View>
      )}
      {!isRecipe && (
        <>
          <Text size="small" tone="ash">
            {t('editor.role')}
          </Text>
          <View role="radiogroup" aria-label={t('editor.role')} className="-mx-2 flex-row flex-wrap">
            {ROLES.map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`roles.${one}`)}
                isChosen={one === role}
                onChoose={() => change({ role: one })}
              />
            ))}
          </View>
          <Text size="small" tone="ash">
            {t('editor.scaling')}
          </Text>
          <View role="radiogroup" aria-label={t('editor.scaling')} className="-mx-2 flex-row flex-wrap">
            {SCALINGS.map((one) => (
              <Choice
                key={one}
                role="radio"
                label={t(`editor.scalings.${one}`)}
                isChosen={one === line.scaling}
                onChoose={() => change({ scaling: one })}
              />
            ))}
          </View>
          {line.scaling === 'film' && (
            <Field
              label={t('editor.filmG')}
              value={String(line.filmG)}
              inputMode="decimal"
              onChange={(text) => change({ filmG: grams(text) })}
            />
          )}
          {line.scaling === 'capped' && (
            <Field
              label={t('editor.capG')}
              value={String(line.capG)}
              inputMode="decimal"
              onChange={(text) => change({ capG: grams(text) })}
            />
          )}
        </>
      )}
      <View className="flex-row flex-wrap gap-2">
        {!isRecipe && read.source && role !== 'rice' && (
          <Button size="body" label={t('editor.standIn', { name: line.name })} onPress={() => setIsStandIn(true)} />
        )}
        <Button
          size="body"
          label={t('editor.remove', { name: line.name })}
          onPress={() => {
            edit({ kind: 'remove', key: line.key })
            toast(t('editor.removed', { name: line.name }), () => edit({ kind: 'undo' }))
          }}
        />
      </View>
      {isStandIn && read.source && (
        <StandInSheet
          line={line}
          read={read}
          source={read.source}
          riceG={riceG}
          shelf={shelf}
          onClose={() => setIsStandIn(false)}
          onTake={(changes) => {
            change(changes)
            setIsStandIn(false)
          }}
        />
      )}
    </View>
  )
}
