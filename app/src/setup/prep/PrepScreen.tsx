import type { MisePolicy } from 'contract/mise/house'
import type { Listed } from 'core/mise/house/changeHouse'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { useMiseHouse } from '../../mise/useMise'
import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { HousePage } from '../house/HousePage'
import { Cards } from './Cards'
import { ADD, ThingSheet, type Thing } from './ThingSheet'
import { useUsesOf } from './useUsesOf'

const LISTS: readonly Listed[] = ['equipment', 'places', 'checks']
type Open = { list: Listed; thing: Thing | null } | null

/** What the mise is planned over: tools, places along the walk, what is said before service, and how things are made. */
export function PrepScreen() {
  const t = useWords('setup')
  const house = useMiseHouse()
  const mayChange = useMay('arrange')
  const router = useRouter()
  const [open, setOpen] = useState<Open>(null)
  return (
    <HousePage title={t('prep.title')}>
      {house.data ? (
        <>
          <Text tone="ash">{t(mayChange ? 'prep.how' : 'prep.mayNot')}</Text>
          <Button
            label={t('prep.hours')}
            detail={t('prep.hoursDetail')}
            onPress={() => router.push('/mise/services')}
          />
          {LISTS.map((list) => (
            <Things
              key={list}
              list={list}
              policy={house.data.policy}
              onOpen={mayChange ? (thing) => setOpen({ list, thing }) : undefined}
            />
          ))}
          <Cards policy={house.data.policy} mayChange={mayChange} />
          {open && (
            <ThingSheet
              key={open.thing?.id ?? open.list}
              list={open.list}
              thing={open.thing}
              policy={house.data.policy}
              onClose={() => setOpen(null)}
            />
          )}
        </>
      ) : house.error ? (
        <Problem error={house.error} onRetry={() => void house.refetch()} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </HousePage>
  )
}

type ThingsProps = { list: Listed; policy: MisePolicy; onOpen: ((thing: Thing | null) => void) | undefined }

function Things({ list, policy, onOpen }: ThingsProps) {
  const t = useWords('setup')
  const things: readonly Thing[] = policy[list]
  const usesOf = useUsesOf(list, policy)
  const about = ({ id, count }: Thing): string =>
    [count === undefined ? null : t('prep.counted', { count }), usesOf(id)].filter(Boolean).join(' · ')
  return (
    <View className="gap-1">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t(`prep.${list}`)}
      </Text>
      <View role="list" className="gap-1">
        {things.map((thing) => (
          <View key={thing.id} role="listitem">
            {onOpen ? (
              <Button size="body" label={thing.name} detail={about(thing)} onPress={() => onOpen(thing)} />
            ) : (
              <Text>{[thing.name, about(thing)].filter(Boolean).join(' · ')}</Text>
            )}
          </View>
        ))}
      </View>
      {onOpen && <Button size="body" label={t(ADD[list])} onPress={() => onOpen(null)} />}
    </View>
  )
}
