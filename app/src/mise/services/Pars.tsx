import type { MisePolicy } from 'contract/mise/house'
import { readStockAmount, withUnit } from 'core/mise/stock/readStockAmount'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Field } from '../../ui/Field'
import { Sheet } from '../../ui/Sheet'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import type { Mise } from '../useKitchenPlan'
import { useStock } from '../useMise'
import { useMassWords } from '../../setup/useMassWords'

/** How much of what is made ahead should always be there. */
export function Pars({ mise, onKeep }: { mise: Mise; onKeep: (pars: MisePolicy['pars']) => void }) {
  const { mass, weighsIn } = useMassWords()
  const t = useWords('mise')
  const { rows } = useStock()
  const { pars } = mise.house.policy
  const [openId, setOpenId] = useState<string | null>(null)
  const [typed, setTyped] = useState('')
  const row = rows.find((one) => one.itemId === openId)
  const read =
    row && typed.trim() !== '' ? readStockAmount(typed, row, { system: mise.kitchen.tools.system, weighsIn }) : null
  const fault = read !== null && read.kind !== 'grams' ? t(`count.${read.kind}`) : undefined
  const open = (itemId: string, written: string) => {
    setOpenId(itemId)
    setTyped(written)
  }
  const others = pars.filter((par) => par.itemId !== openId)
  return (
    <View>
      <Heading>{t('services.pars')}</Heading>
      <View role="list">
        {rows
          .filter((one) => one.itemId.startsWith('recipe:'))
          .map((one) => {
            const par = pars.find((each) => each.itemId === one.itemId)
            return (
              <View key={one.itemId} role="listitem" className="mt-1">
                <Button
                  size="body"
                  label={one.name}
                  detail={par ? `${par.written} · ${mass(par.massG)}` : '–'}
                  accessibleName={t('services.parOf', { name: one.name })}
                  onPress={() => open(one.itemId, par?.written ?? '')}
                />
              </View>
            )
          })}
      </View>
      {row && (
        <Sheet title={t('services.parOf', { name: row.name })} isOpen onClose={() => setOpenId(null)}>
          <View className="gap-3">
            <Field
              label={t(`count.typed.${weighsIn}`)}
              value={typed}
              onChange={setTyped}
              fault={fault}
              maxLength={40}
              autoFocus
            />
            <Button
              isTall
              kind="main"
              label={t('services.save')}
              detail={read?.kind === 'grams' ? mass(read.massG) : ''}
              disabledBecause={typed.trim() !== '' && read?.kind !== 'grams' ? t('count.unread') : undefined}
              onPress={() => {
                onKeep(
                  read?.kind === 'grams' && read.massG > 0
                    ? [...others, { itemId: row.itemId, massG: read.massG, written: withUnit(typed, weighsIn) }]
                    : others,
                )
                setOpenId(null)
              }}
            />
          </View>
        </Sheet>
      )}
    </View>
  )
}
