import type { ComplaintSubject } from 'contract/faults'
import type { Complaint } from 'core/record/faults/rank'
import { View } from 'react-native'
import { useKitchen } from '../../setup/useKitchen'
import { Button } from '../../ui/Button'
import { Text } from '../../ui/Text'
import { useRest } from '../../ui/useRest'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { complain, isSameSubject, takeBack, useComplaints } from './useComplaints'

/** Writes the complaint that is asked about into the record; looking for causes alone writes nothing. */
export function NoteComplaint({ of, what }: { of: ComplaintSubject; what: Complaint }) {
  const t = useWords('record')
  const zone = useKitchen().data?.timeZone ?? 'UTC'
  const { complaints } = useComplaints()
  const noted = complaints.find((one) => one.takenBackAtMs === null && one.what === what && isSameSubject(one.of, of))
  const isResting = useRest(noted ? 'noted' : 'not')
  const name = t(`fault.complaints.${what}`)
  return (
    <View className="min-h-14 flex-row flex-wrap items-center gap-3">
      {noted ? (
        <>
          <Text aria-live="polite" weight="semi">
            {t('fault.noted', { time: formatTime(noted.atMs, zone), what: name })}
          </Text>
          <Button size="body" label={t('fault.takeBack')} isResting={isResting} onPress={() => takeBack(noted.id)} />
        </>
      ) : (
        <Button
          size="body"
          label={t('fault.note', { what: name })}
          isResting={isResting}
          onPress={() => complain(of, what)}
        />
      )}
    </View>
  )
}
