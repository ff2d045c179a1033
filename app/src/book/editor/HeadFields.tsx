import { memo } from 'react'
import { View } from 'react-native'
import { Field } from '../../ui/Field'
import { useWords } from '../../words/i18n'
import { readMoney } from 'core/measure/money'
import { holdS, type DraftHead } from '../draft/draft'
import type { DraftStore } from '../draft/draftStore'
import type { Edit } from '../draft/history'
import { useHead } from '../draft/useHistory'
import { MassField } from './MassField'

type HeadProps = { store: DraftStore; edit: (edit: Edit) => void; currency: string }

/** Name, prices and portion of a dish. */
export const HeadFields = memo(function HeadFields({ store, edit, currency }: HeadProps) {
  const t = useWords('book')
  const head = useHead(store)
  const price = readMoney(head.price, currency)
  const ceiling = readMoney(head.ceiling, currency)
  const change = (changes: Partial<DraftHead>) => edit({ kind: 'head', changes })
  const faultOf = (read: ReturnType<typeof readMoney>) =>
    'fault' in read ? t(`ingredient.priceFaults.${read.fault}`) : undefined
  const holdFault = (text: string) => (text.trim() !== '' && holdS(text) === null ? t('editor.holdFault') : undefined)
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
        <MassField
          labelOf={(unit) => t('editor.portion', { unit })}
          massG={head.portionRiceG}
          mostG={2000}
          className="w-[110px]"
          onChange={(portionRiceG) => change({ portionRiceG })}
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
        <Field
          label={t('editor.holdFree')}
          value={head.holdFree}
          inputMode="decimal"
          fault={holdFault(head.holdFree)}
          className="w-[110px]"
          onChange={(text) => change({ holdFree: text })}
        />
        <Field
          label={t('editor.holdMost')}
          value={head.holdMost}
          inputMode="decimal"
          fault={holdFault(head.holdMost)}
          className="w-[110px]"
          onChange={(text) => change({ holdMost: text })}
        />
      </View>
    </View>
  )
})
