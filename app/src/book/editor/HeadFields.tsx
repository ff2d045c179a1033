import type { Style } from 'core/book/balance/style'
import {
  EGG_SCHOOLS,
  GARLIC_SCHOOLS,
  HEAT_SCHOOLS,
  OIL_SCHOOLS,
  RICE_SCHOOLS,
  SAUCE_SCHOOLS,
  STATION_KINDS,
  WIPE_SCHOOLS,
} from 'core/book/dish'
import { memo, useState } from 'react'
import { Pressable, View } from 'react-native'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { readMoney } from 'core/measure/money'
import type { DraftHead } from '../draft/draft'
import type { DraftStore } from '../draft/draftStore'
import type { Edit } from '../draft/history'
import { useHead } from '../draft/useHistory'

const SCHOOLS = {
  egg: { of: EGG_SCHOOLS, usual: 'firstOut' },
  heat: { of: HEAT_SCHOOLS, usual: 'mediumThenHigh' },
  oil: { of: OIL_SCHOOLS, usual: 'usual' },
  rice: { of: RICE_SCHOOLS, usual: 'tossed' },
  sauce: { of: SAUCE_SCHOOLS, usual: 'onMetal' },
  garlic: { of: GARLIC_SCHOOLS, usual: 'early' },
  wipe: { of: WIPE_SCHOOLS, usual: 'never' },
} as const

type HeadProps = { store: DraftStore; styles: readonly Style[]; edit: (edit: Edit) => void }

/** Name, prices and portion of a dish. */
export const HeadFields = memo(function HeadFields({
  store,
  edit,
  currency,
}: Omit<HeadProps, 'styles'> & { currency: string }) {
  const t = useWords('book')
  const head = useHead(store)
  const price = readMoney(head.price, currency)
  const ceiling = readMoney(head.ceiling, currency)
  const change = (changes: Partial<DraftHead>) => edit({ kind: 'head', changes })
  const faultOf = (read: ReturnType<typeof readMoney>) =>
    'fault' in read ? t(`ingredient.priceFaults.${read.fault}`) : undefined
  return (
    <View className="gap-2">
      <Field label={t('editor.name')} value={head.name} maxLength={120} onChange={(name) => change({ name })} />
      <View className="flex-row flex-wrap gap-2">
        <Field
          label={t('editor.shortName')}
          value={head.shortName}
          maxLength={40}
          className="min-w-[150px] flex-1"
          onChange={(shortName) => change({ shortName })}
        />
        <Field
          label={t('editor.portion')}
          value={head.portionRiceG === 0 ? '' : String(head.portionRiceG)}
          inputMode="numeric"
          className="w-[110px]"
          onChange={(text) => change({ portionRiceG: Math.min(2000, Math.max(0, Math.round(Number(text) || 0))) })}
        />
        <Field
          label={t('editor.price')}
          value={head.price}
          inputMode="decimal"
          fault={faultOf(price)}
          className="w-[110px]"
          onChange={(text) => change({ price: text })}
        />
        <Field
          label={t('editor.ceiling')}
          value={head.ceiling}
          inputMode="decimal"
          fault={faultOf(ceiling)}
          className="w-[110px]"
          onChange={(text) => change({ ceiling: text })}
        />
      </View>
    </View>
  )
})

/** Style, station and schools: shut until they are wanted. */
export const SchoolFields = memo(function SchoolFields({ store, styles, edit }: HeadProps) {
  const t = useWords('book')
  const head = useHead(store)
  const [isOpen, setIsOpen] = useState(false)
  const change = (changes: Partial<DraftHead>) => edit({ kind: 'head', changes })
  const chosen = (school: keyof typeof SCHOOLS) => head.schools[school] ?? SCHOOLS[school].usual
  const summary = (Object.keys(SCHOOLS) as (keyof typeof SCHOOLS)[])
    .map((school) => `${t(`editor.school.${school}`)}: ${t(`editor.choices.${chosen(school)}`)}`)
    .join(' · ')
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
          {summary}
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
          {(Object.keys(SCHOOLS) as (keyof typeof SCHOOLS)[]).map((school) => (
            <Row key={school} label={t(`editor.school.${school}`)}>
              {SCHOOLS[school].of.map((one) => (
                <Choice
                  key={one}
                  role="radio"
                  label={t(`editor.choices.${one}`)}
                  isChosen={one === chosen(school)}
                  onChoose={() => change({ schools: { ...head.schools, [school]: one } })}
                />
              ))}
            </Row>
          ))}
        </View>
      )}
    </View>
  )
})

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <View className="flex-row flex-wrap items-center">
      <Text size="small" tone="ash" className="w-20">
        {label}
      </Text>
      <View role="radiogroup" aria-label={label} className="min-w-0 flex-1 flex-row flex-wrap">
        {children}
      </View>
    </View>
  )
}
