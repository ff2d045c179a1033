import type { RicePlace, RiceVessel } from 'contract/riceHouse'
import { useState } from 'react'
import { useRiceHouse } from '../../rice/useLots'
import { Button } from '../../ui/Button'
import { Sheet } from '../../ui/Sheet'
import { Text } from '../../ui/Text'
import { Loading, Problem } from '../../ui/states'
import { useWords } from '../../words/i18n'
import { HousePage } from './HousePage'
import { PlaceForm } from './PlaceForm'
import { VesselForm } from './VesselForm'

type Open = { vessel: RiceVessel | null } | { place: RicePlace | null } | null

/** What rice is cooked in and where its trays stand. */
export function RiceHouseScreen() {
  const t = useWords('setup')
  const house = useRiceHouse()
  const [open, setOpen] = useState<Open>(null)
  const done = () => setOpen(null)
  if (!house.data)
    return (
      <HousePage title={t('house.rice.title')}>
        {house.error ? (
          <Problem error={house.error} onRetry={() => void house.refetch()} />
        ) : (
          <Loading what={t('loading')} />
        )}
      </HousePage>
    )
  const { vessels, places } = house.data
  const isVessel = open !== null && 'vessel' in open
  const named = open === null ? null : 'vessel' in open ? open.vessel : open.place
  return (
    <HousePage title={t('house.rice.title')}>
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('house.rice.vessels')}
      </Text>
      {vessels.map((one) => (
        <Button
          key={one.id}
          label={one.name}
          detail={t('house.rice.about', {
            what: t(`house.rice.methods.${one.method}`),
            size: t('house.rice.litres', { litres: one.volumeL }),
          })}
          onPress={() => setOpen({ vessel: one })}
        />
      ))}
      <Button label={t('house.rice.addVessel')} onPress={() => setOpen({ vessel: null })} />
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('house.rice.places')}
      </Text>
      {places.map((one) => (
        <Button
          key={one.id}
          label={one.name}
          detail={t('house.rice.about', {
            what: t(`house.rice.kinds.${one.kind}`),
            size: t('house.rice.traysOf', { count: one.trays }),
          })}
          onPress={() => setOpen({ place: one })}
        />
      ))}
      <Button label={t('house.rice.addPlace')} onPress={() => setOpen({ place: null })} />
      <Sheet
        title={named?.name ?? t(isVessel ? 'house.rice.addVessel' : 'house.rice.addPlace')}
        isOpen={open !== null}
        onClose={done}
      >
        {open !== null &&
          ('vessel' in open ? (
            <VesselForm vessel={open.vessel} onDone={done} />
          ) : (
            <PlaceForm place={open.place} onDone={done} />
          ))}
      </Sheet>
    </HousePage>
  )
}
