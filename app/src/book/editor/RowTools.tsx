import { ROLES, SCALINGS, type Role } from 'core/book/dish'
import { likeNames } from 'core/book/lookUp'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { OneOf } from '../../ui/OneOf'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'
import type { Shelf } from '../useShelf'
import type { DraftLine } from '../draft/draft'
import type { Edit } from '../draft/history'
import { roleOf, type ReadLine } from '../draft/readLines'
import { StandInSheet } from './sheets/StandInSheet'
import { MassField } from './MassField'
import { StageShares } from './StageShares'

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
  return (
    <View className="mb-2 gap-1 rounded-lg bg-plate p-3">
      {read.source && (
        <Text size="small" tone="ash" stretch="slim">
          {[read.source.name, read.via, read.source.source, t(`confidence.${read.source.confidence}`)]
            .filter(Boolean)
            .join(' · ')}
        </Text>
      )}
      {!read.source && <Guesses name={line.name} shelf={shelf} onTake={change} />}
      {!isRecipe && <RoleAndScaling line={line} role={role} onChange={change} />}
      {!isRecipe && (
        <StageShares name={line.name} role={role} stages={line.stages} onChange={(stages) => change({ stages })} />
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

type Change = (changes: Partial<DraftLine>) => void

/** Rows of the table that are called like what nobody knows, to take with a touch. */
function Guesses({ name, shelf, onTake }: { name: string; shelf: Shelf; onTake: Change }) {
  const t = useWords('book')
  const like = likeNames(shelf.rows, name)
  if (like.length === 0) return null
  return (
    <View className="gap-1">
      <Text size="small">{t('editor.guess')}</Text>
      <View className="flex-row flex-wrap gap-2">
        {like.map((one) => (
          <Button
            key={one.id}
            size="body"
            label={one.name}
            onPress={() => onTake({ name: one.aliases[0] ?? one.name, ingredientId: one.id })}
          />
        ))}
      </View>
    </View>
  )
}

/** What the line is in the dish, and how it grows with the batch. */
function RoleAndScaling({ line, role, onChange }: { line: DraftLine; role: Role; onChange: Change }) {
  const t = useWords('book')
  return (
    <>
      <Text size="small" tone="ash">
        {t('editor.role')}
      </Text>
      <OneOf
        name={t('editor.role')}
        of={ROLES}
        chosen={role}
        words={(one) => t(`roles.${one}`)}
        onChoose={(one) => onChange({ role: one })}
      />
      <Text size="small" tone="ash">
        {t('editor.scaling')}
      </Text>
      <OneOf
        name={t('editor.scaling')}
        of={SCALINGS}
        chosen={line.scaling}
        words={(one) => t(`editor.scalings.${one}`)}
        onChoose={(one) => onChange({ scaling: one })}
      />
      {line.scaling === 'film' && (
        <MassField
          labelOf={(unit) => t('editor.filmG', { unit })}
          massG={line.filmG}
          onChange={(filmG) => onChange({ filmG })}
        />
      )}
      {line.scaling === 'capped' && (
        <MassField
          labelOf={(unit) => t('editor.capG', { unit })}
          massG={line.capG}
          onChange={(capG) => onChange({ capG })}
        />
      )}
    </>
  )
}
