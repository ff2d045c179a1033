import { useRouter } from 'expo-router'
import { ScrollView, View } from 'react-native'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { PageHeading } from '../../ui/PageHeading'
import { Empty, Loading, Problem } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { formatClock } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useLineWords } from '../lineWords'
import { useLinePlan, type Line } from '../useLinePlan'
import { sayOfTicket } from '../useTickets'
import { usePass, type ShownPass } from './usePass'

/** The pass: what is up, what belongs together, how long it stays good, and handing it over with one tap. */
export function PassScreen() {
  const t = useWords('line')
  const router = useRouter()
  const { line, error, refetch } = useLinePlan()
  const pass = usePass(line)
  const back = <Button isTall label={t('running.back')} onPress={() => router.replace('/line')} className="flex-1" />
  const problem = error ?? (pass.data ? null : pass.error)
  const isReady = line !== null && pass.data !== undefined
  return (
    <Frame stage="line" bar={<View className="flex-row">{back}</View>}>
      {!isReady &&
        (problem ? <Problem error={problem} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />)}
      {isReady && (
        <ScrollView tabIndex={0} className="min-h-0 flex-1">
          <View className="w-full max-w-3xl gap-3 p-4">
            <PageHeading size="title" weight="bold">
              {t('pass.title', { count: pass.shown.length })}
            </PageHeading>
            {pass.shown.length === 0 && <Empty title={t('pass.empty')} detail={t('pass.emptyDetail')} />}
            {pass.shown.map((one) => (
              <PassRow key={one.ticket.id} line={line} one={one} nowMs={pass.nowMs} />
            ))}
            {pass.handedOver.length > 0 && (
              <View className="gap-2 border-t border-edge pt-3">
                <Text tone="ash">{t('pass.justNow')}</Text>
                {pass.handedOver.map((ticket) => (
                  <Button
                    key={ticket.id}
                    label={t('pass.recall', { number: ticket.number })}
                    onPress={() => sayOfTicket(ticket.id, 'recalled')}
                  />
                ))}
              </View>
            )}
          </View>
        </ScrollView>
      )}
    </Frame>
  )
}

function PassRow({ line, one, nowMs }: { line: Line; one: ShownPass; nowMs: number }) {
  const t = useWords('line')
  const words = useLineWords(line)
  const { ticket, on } = one
  const handOver = () => {
    sayOfTicket(ticket.id, 'handedOver')
    toast(t('pass.handed', { number: ticket.number }), () => sayOfTicket(ticket.id, 'recalled'))
  }
  const allergies = ticket.items.filter((item) => item.allergies.length > 0)
  const good = () => {
    if (on.hold === 'fresh') return t('pass.fresh', { time: formatClock((on.freshUntilMs - nowMs) / 1000) })
    return t('pass.waits', { time: formatClock((on.goodUntilMs - nowMs) / 1000) })
  }
  return (
    <View
      role="group"
      aria-label={t('ticketNo', { number: ticket.number })}
      className="gap-1 border-b border-edge pb-3"
    >
      <View className="flex-row items-start gap-3">
        <Text size="figure" weight="bold" stretch="narrow">
          {ticket.number}
        </Text>
        <View className="min-w-0 flex-1">
          <Text size="step" weight="bold" stretch="slim">
            {words.items(ticket)}
          </Text>
          {words.modifiers(ticket) !== '' && <Text stretch="slim">{words.modifiers(ticket)}</Text>}
          <Text tone="ash" stretch="slim">
            {[ticket.kind === 'take' ? t('take') : t('dine'), ticket.place, words.time(ticket.promisedAtMs)]
              .filter(Boolean)
              .join(' · ')}
          </Text>
          {!on.isWhole && (
            <Text weight="semi" stretch="slim">
              {on.wholeAtMs === null
                ? t('pass.toCome', { count: on.toComePortions })
                : t('pass.toComeAt', { count: on.toComePortions, time: words.time(on.wholeAtMs) })}
            </Text>
          )}
          {on.hold !== 'tooLong' && (
            <Text tone={on.hold === 'fresh' ? 'ash' : 'rice'} weight={on.hold === 'fresh' ? 'normal' : 'bold'}>
              {good()}
            </Text>
          )}
        </View>
      </View>
      {allergies.map((item) => (
        <Notice
          key={item.id}
          kind="allergy"
          isSmall
          title={t('allergy', { n: item.portions, allergen: words.allergens(item.allergies) })}
        />
      ))}
      {on.allergyMarks.map((mark) => (
        <Notice key={mark} kind="hazard" isSmall title={t(`pass.unsafe.${mark}`)} />
      ))}
      {on.hold === 'tooLong' && (
        <Notice
          kind="conflict"
          isSmall
          title={t('pass.tooLong', { time: formatClock((nowMs - on.goodUntilMs) / 1000) })}
        />
      )}
      {on.allergyMarks.length > 0 ? (
        <HoldButton label={t('pass.handOverUnsafe')} detail={t('pass.handOverUnsafeHow')} onHeld={handOver} />
      ) : (
        <Button
          label={on.isWhole ? t('pass.handOver') : t('pass.handOverPart', { count: on.upPortions })}
          onPress={handOver}
        />
      )}
    </View>
  )
}
