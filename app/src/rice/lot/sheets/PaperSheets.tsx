import { useMutation, useQuery } from '@tanstack/react-query'
import { LabelPrinted } from 'contract/devices'
import { Trace, type LotEvent } from 'contract/rice'
import type { LoggedEvent } from 'core/rice/lot/lotState'
import { View } from 'react-native'
import { getJson, sendJson } from '../../../device/http'
import { download } from '../../../device/download'
import { Button } from '../../../ui/Button'
import { Notice } from '../../../ui/Notice'
import { Sheet } from '../../../ui/Sheet'
import { useProblemSentence } from '../../../ui/states'
import { toast } from '../../../ui/Toast'
import { Text } from '../../../ui/Text'
import { nameOfStaff } from '../../../people/nameOfStaff'
import { formatDay, formatTime } from '../../../words/format'
import { useWords } from '../../../words/i18n'
import { useLotSays } from '../lotSays'
import type { LotPage } from '../lotPage'
import { useMassWords } from '../../../setup/useMassWords'

type SheetProps = LotPage & { onClose: () => void }

/** The label for each tray, on its own paper or on a sheet. */
export function LabelSheet({ shown, kitchen, onClose }: SheetProps) {
  const t = useWords('rice')
  const { id, name } = shown.lot
  const path = `/api/rice/lots/${id}/label`
  const copies = Math.max(1, shown.state.trays)
  const print = useMutation({
    mutationFn: () => sendJson('POST', `/rice/lots/${id}/label/print?copies=${copies}`, undefined, LabelPrinted),
    onSuccess: (done) => {
      toast(t('lot.labelPrinted', { count: done.copies }))
      onClose()
    },
  })
  const sentence = useProblemSentence(print.error)
  return (
    <Sheet title={t('lot.labelTitle', { name })} isOpen onClose={onClose}>
      <View className="gap-3">
        {print.error && <Notice kind="conflict" isSmall title={sentence} />}
        {kitchen.instruments.includes('printer') && (
          <Button
            kind="main"
            isTall
            label={t('lot.labelPrint')}
            detail={`× ${copies}`}
            isBusy={print.isPending}
            onPress={() => print.mutate()}
          />
        )}
        <Button
          label={t('lot.labelPdf')}
          detail={`× ${copies}`}
          onPress={() => download(`${path}.pdf?size=60x40&copies=${copies}`, `${name}-label.pdf`)}
        />
        <Button
          label={t('lot.labelA4')}
          detail={`× ${copies}`}
          onPress={() => download(`${path}.pdf?size=a4&copies=${copies}`, `${name}-labels.pdf`)}
        />
        <Button label={t('lot.labelPng')} onPress={() => download(`${path}.png`, `${name}-label.png`)} />
      </View>
    </Sheet>
  )
}

/** From the lot to the tickets: who got rice of it. */
export function TraceSheet({ shown, kitchen, onClose }: SheetProps) {
  const t = useWords('rice')
  const { id, name } = shown.lot
  const trace = useQuery({
    queryKey: ['rice', 'trace', id],
    queryFn: ({ signal }) => getJson(`/rice/lots/${id}/trace`, Trace, signal),
  }).data
  return (
    <Sheet title={t('lot.traceTitle', { name })} isOpen onClose={onClose}>
      <View className="gap-2">
        {trace?.runs.length === 0 && <Text>{t('lot.traceNone')}</Text>}
        <TracedRuns runs={trace?.runs ?? []} timeZone={kitchen.timeZone} />
      </View>
    </Sheet>
  )
}

export function TracedRuns({ runs, timeZone }: { runs: Trace['runs']; timeZone: string }) {
  const { mass } = useMassWords()
  const t = useWords('rice')
  return (
    <View role="list" className="gap-2">
      {runs.map((run) => (
        <View key={`${run.runId} ${run.lotId}`} role="listitem">
          <Text weight="bold" stretch="slim">
            {t('lot.traceRun', {
              time: `${formatDay(run.firedAtMs, timeZone)} ${formatTime(run.firedAtMs, timeZone)}`,
              dish: run.dishName,
              g: mass(run.massG),
            })}
          </Text>
          <Text tone="ash" stretch="slim">
            {t('lot.traceTickets', {
              count: run.tickets.length,
              list: run.tickets.map((one) => [one.number, one.place].filter(Boolean).join(' ')).join(', '),
            })}
          </Text>
        </View>
      ))}
    </View>
  )
}

/** Everything said of a lot, the latest first; what was taken back or came too late stays, struck out. */
export function LogSheet(props: SheetProps) {
  const { shown, kitchen, onClose } = props
  const t = useWords('rice')
  const says = useLotSays(props)
  const { lot, state } = shown
  const when = (ms: number) => `${formatDay(ms, kitchen.timeZone)} ${formatTime(ms, kitchen.timeZone)}`
  const who = (event: { staffId?: string | null | undefined }) =>
    nameOfStaff(kitchen, event.staffId ?? null) ?? t('lot.someone')
  const whyOf = ({ why, struckBy }: LoggedEvent) =>
    why === null
      ? ''
      : t(`lot.whys.${why}`, { who: struckBy ? who(struckBy) : '', time: struckBy ? when(struckBy.atMs) : '' })
  return (
    <Sheet title={t('lot.logTitle', { name: lot.name })} isOpen onClose={onClose}>
      <View role="list" className="gap-1">
        {[...state.log].reverse().map((one) => (
          <View key={one.event.id} role="listitem" className="flex-row gap-3">
            <Text weight="bold" stretch="narrow">
              {when(one.event.atMs)}
            </Text>
            <View className="flex-1">
              <Text stretch="slim" className={one.counts ? '' : 'line-through'}>
                {says(one.event as LotEvent)}
              </Text>
              {one.why && (
                <Text stretch="slim" tone="ash">
                  {whyOf(one)}
                </Text>
              )}
            </View>
          </View>
        ))}
      </View>
    </Sheet>
  )
}
