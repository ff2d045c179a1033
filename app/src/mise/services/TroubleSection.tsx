import { endOfLocalDay } from 'core/time/localTime'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { toast } from '../../ui/Toast'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading } from '../MisePage'
import { useMiseWords } from '../miseWords'
import { sayOfMise, undoMise, type SaidOfMise } from '../useMise'
import type { Mise } from '../useKitchenPlan'

/** Someone is ill, something broke: said once, and the plan makes the best of who and what is left. */
export function TroubleSection({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const [open, setOpen] = useState<'away' | 'down' | null>(null)
  const planId = mise.next?.id ?? 'stock'
  const toMs = endOfLocalDay(mise.next?.fromMs ?? mise.nowMs, mise.kitchen.timeZone)
  const fromMs = Math.round(mise.nowMs)
  const time = formatTime(toMs, mise.kitchen.timeZone)
  const say = (said: SaidOfMise, done: string) => {
    const ids = sayOfMise(planId, said)
    toast(done, () => undoMise(planId, ids))
    setOpen(null)
  }
  return (
    <View>
      <Heading>{t('services.trouble')}</Heading>
      <View className="flex-row gap-2">
        <Button size="body" label={t('services.away')} className="flex-1" onPress={() => setOpen('away')} />
        <Button size="body" label={t('services.down')} className="flex-1" onPress={() => setOpen('down')} />
      </View>
      <Sheet title={t('services.away')} isOpen={open === 'away'} onClose={() => setOpen(null)}>
        <View className="gap-2">
          {mise.house.policy.people.map(({ staffId }) => (
            <Button
              key={staffId}
              label={t('services.awayOf', { name: words.person(staffId) })}
              onPress={() =>
                say(
                  { kind: 'away', staffId, fromMs, toMs },
                  t('services.awaySaid', { name: words.person(staffId), time }),
                )
              }
            />
          ))}
        </View>
      </Sheet>
      <Sheet title={t('services.down')} isOpen={open === 'down'} onClose={() => setOpen(null)}>
        <View className="gap-2">
          {mise.house.policy.equipment.map((tool) => (
            <Button
              key={tool.id}
              label={t('services.downOf', { name: tool.name })}
              onPress={() =>
                say(
                  { kind: 'down', equipmentId: tool.id, count: 1, fromMs, toMs },
                  t('services.downSaid', { name: tool.name, time }),
                )
              }
            />
          ))}
        </View>
      </Sheet>
    </View>
  )
}
