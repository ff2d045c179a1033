import type { Style } from 'core/book/balance/style'
import { STATION_KINDS } from 'core/book/dish'
import { SCHOOLS, type SchoolName, type StatedSchools } from 'core/book/schools'
import { memo, useState } from 'react'
import { Pressable, View } from 'react-native'
import { Choice } from '../../ui/Choice'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import type { DraftHead } from '../draft/draft'
import type { DraftStore } from '../draft/draftStore'
import type { Edit } from '../draft/history'
import { useHead } from '../draft/useHistory'
import { useSchoolWords } from './useSchoolWords'

type SchoolFieldsProps = { store: DraftStore; styles: readonly Style[]; edit: (edit: Edit) => void }
const NAMES = Object.keys(SCHOOLS) as SchoolName[]

/** Style, station and schools: shut until they are wanted. */
export const SchoolFields = memo(function SchoolFields({ store, styles, edit }: SchoolFieldsProps) {
  const t = useWords('book')
  const words = useSchoolWords()
  const head = useHead(store)
  const [isOpen, setIsOpen] = useState(false)
  const [openSchool, setOpenSchool] = useState<SchoolName | null>(null)
  const change = (changes: Partial<DraftHead>) => edit({ kind: 'head', changes })
  const stated = NAMES.filter((school) => (head.schools[school] ?? 'auto') !== 'auto')
  const summary = stated.map((school) => `${words.school(school)}: ${words.value(school, head.schools[school]).name}`)
  return (
    <View>
      <Pressable
        role="button"
        aria-expanded={isOpen}
        onPress={() => setIsOpen(!isOpen)}
        className="ring-focus min-h-14 justify-center rounded-lg border border-line px-3 py-1"
      >
        <Text weight="bold">{`${t('editor.schools')} ${isOpen ? '–' : '+'}`}</Text>
        <Text size="small" tone="ash" stretch="slim">
          {summary.length > 0 ? summary.join(' · ') : t('schools.auto.does')}
        </Text>
      </Pressable>
      {isOpen && (
        <View className="gap-1 pt-2">
          <Row label={t('editor.bands')}>
            {styles.map((style) => (
              <Choice
                key={style.id}
                role="radio"
                label={style.name}
                isChosen={style.id === head.style}
                onChoose={() => change({ style: style.id })}
              />
            ))}
          </Row>
          <Row label={t('editor.station')}>
            {STATION_KINDS.map((kind) => (
              <Choice
                key={kind}
                role="radio"
                label={t(`editor.stations.${kind}`)}
                isChosen={kind === head.stationKind}
                onChoose={() => change({ stationKind: kind })}
              />
            ))}
          </Row>
          {NAMES.map((school) => (
            <SchoolRow
              key={school}
              school={school}
              schools={head.schools}
              isOpen={openSchool === school}
              onOpen={() => setOpenSchool(openSchool === school ? null : school)}
              onChoose={(value) => change({ schools: withSchool(head.schools, school, value) })}
            />
          ))}
        </View>
      )}
    </View>
  )
})

/** What is left to the engine is not said at all. */
function withSchool(schools: StatedSchools, school: SchoolName, value: string): StatedSchools {
  const { [school]: _before, ...others } = schools
  return value === 'auto' ? others : { ...others, [school]: value }
}

type SchoolRowProps = {
  school: SchoolName
  schools: StatedSchools
  isOpen: boolean
  onOpen: () => void
  onChoose: (value: string) => void
}

/** One school: what is held and what that does to the food; its other ways when it is opened. */
function SchoolRow({ school, schools, isOpen, onOpen, onChoose }: SchoolRowProps) {
  const words = useSchoolWords()
  const chosen = schools[school] ?? 'auto'
  const { name, does } = words.value(school, chosen)
  return (
    <View className="border-b border-edge">
      <Pressable
        role="button"
        aria-expanded={isOpen}
        onPress={onOpen}
        className="ring-focus min-h-14 flex-row items-center gap-2 py-1"
      >
        <Text size="small" tone="ash" className="w-24">
          {words.school(school)}
        </Text>
        <View className="min-w-0 flex-1">
          <Text weight={chosen === 'auto' ? 'normal' : 'bold'} stretch="slim">
            {name}
          </Text>
          <Text size="small" tone="ash" stretch="slim">
            {does}
          </Text>
        </View>
        <Text tone="ash">{isOpen ? '–' : '+'}</Text>
      </Pressable>
      {isOpen && (
        <View role="radiogroup" aria-label={words.school(school)} className="pb-2 pl-24">
          {(['auto', ...SCHOOLS[school]] as const).map((value) => {
            const one = words.value(school, value)
            return (
              <Choice
                key={value}
                role="radio"
                label={one.name}
                note={one.does}
                isChosen={value === chosen}
                isRow
                onChoose={() => onChoose(value)}
              />
            )
          })}
        </View>
      )}
    </View>
  )
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <View className="flex-row flex-wrap items-center">
      <Text size="small" tone="ash" className="w-24">
        {label}
      </Text>
      <View role="radiogroup" aria-label={label} className="min-w-0 flex-1 flex-row flex-wrap">
        {children}
      </View>
    </View>
  )
}
