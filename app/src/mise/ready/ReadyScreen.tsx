import type { Readiness, Stave } from 'core/mise/ready/readiness'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { HoldButton } from '../../ui/HoldButton'
import { Loading } from '../../ui/states'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Head, Heading, MisePage } from '../MisePage'
import { useMiseWords } from '../miseWords'
import { useDishNames } from '../useDishNames'
import { sayOfMise, undoMise } from '../useMise'
import type { Mise } from '../useKitchenPlan'
import { Undrawn } from '../Undrawn'
import { WithMise } from '../WithMise'
import { OpenStave } from './OpenStave'
import { Tub } from './Tub'
import { useFixWords } from './useFixWords'
import { useReadiness } from './useReadiness'

/** Ready for service? What stands, how far it reaches, and what would mend it soonest. */
export function ReadyScreen() {
  return <WithMise>{(mise) => <ReadyOf mise={mise} />}</WithMise>
}

function ReadyOf({ mise }: { mise: Mise }) {
  const t = useWords('mise')
  const ready = useReadiness(mise)
  if (!mise.next) return <Undrawn part="ready" />
  return ready ? (
    <Ready mise={mise} ready={ready} next={mise.next} />
  ) : (
    <MisePage part="ready">
      <Loading what={t('loading')} />
    </MisePage>
  )
}

type Props = { mise: Mise; ready: Readiness; next: NonNullable<Mise['next']> }

function Ready({ mise, ready, next }: Props) {
  const t = useWords('mise')
  const words = useMiseWords(mise.kitchen)
  const isWide = useIsWide()
  const [widthPx, setWidthPx] = useState(0)
  const names = useStaveName(mise, ready)
  const { nowMs, kitchen } = mise
  const zone = kitchen.timeZone
  const first = ready.open[0] ?? null
  const answer =
    ready.open.length === 0
      ? t('ready.yes')
      : ready.open.some((one) => one.state === 'short')
        ? t('ready.no')
        : t('ready.notYet')
  const bar = <CallButton mise={mise} ready={ready} stave={first} names={names} />
  return (
    <MisePage
      part="ready"
      bar={bar}
      head={
        <Head
          title={`${t('ready.title', { time: formatTime(next.fromMs, zone) })} ${answer}`}
          detail={`${formatTime(nowMs, zone)} · ${t('ready.summary', { open: ready.open.length, ready: ready.staves.length - ready.open.length })}`}
          figure={words.span((next.fromMs - nowMs) / 1000)}
          figureDetail={t(nowMs < next.fromMs ? 'ready.to' : 'ready.since')}
        />
      }
    >
      <View className="flex-row items-end justify-between gap-3">
        <View>
          <Text size="step" tone="ash">
            {t('ready.holds')}
          </Text>
          <View className="flex-row items-baseline gap-2">
            <Text size="action" weight="bold" stretch="narrow">
              {Math.floor(ready.holdsPortions + 1e-6)}
            </Text>
            <Text size="step">{t('ready.of', { n: Math.round(ready.portions) })}</Text>
          </View>
          <Text tone="ash">{t('ready.standsNow', { n: Math.floor(ready.nowPortions + 1e-6) })}</Text>
        </View>
        <View className="min-w-0 flex-1 items-end">
          <Text tone="ash" className="text-right">
            {ready.firstOut ? t('ready.then', { what: names(ready.firstOut.id) }) : t('ready.toEnd')}
          </Text>
          <Text size="figure" weight="bold" stretch="narrow">
            {formatTime(ready.untilMs ?? next.toMs, zone)}
          </Text>
        </View>
      </View>
      <View onLayout={(event) => setWidthPx(event.nativeEvent.layout.width)}>
        {widthPx > 0 && (
          <Tub
            {...{ ready, names, zone }}
            widthPx={Math.min(widthPx, 720)}
            fromMs={next.fromMs}
            toMs={lastBoatMs(next)}
          />
        )}
      </View>
      {ready.open.length > 0 && <Heading detail={t('ready.doBy')}>{t('ready.short')}</Heading>}
      <View role="list">
        {ready.open.map((stave) => (
          <OpenStave key={stave.id} mise={mise} stave={stave} name={names(stave.id)} />
        ))}
      </View>
      {isWide && <View className="mt-3 max-w-md">{bar}</View>}
      <OffMenu mise={mise} next={next} ready={ready} />
      <Text size="small" tone="ash" className="mt-3">
        {t('local')}
      </Text>
    </MisePage>
  )
}

const lastBoatMs = (next: Props['next']) =>
  Math.max(next.fromMs + 60_000, ...(next.drawn?.boats ?? []).map((boat) => boat.atMs))

function useStaveName(mise: Mise, ready: Readiness) {
  const t = useWords('mise')
  return (id: string): string => {
    const stave = ready.staves.find((one) => one.id === id)
    if (!stave) return id
    if (stave.kind === 'hands') return t('ready.handsName', { name: stave.name })
    if (stave.kind === 'rice') return t('ready.kinds.rice')
    if (stave.kind === 'rules') return mise.house.policy.checks.find((check) => check.id === id)?.name ?? id
    if (stave.kind === 'stations') return stave.name
    return stave.name
  }
}

/** The soonest thing that would mend it, under the thumb. */
function CallButton({
  mise,
  ready,
  stave,
  names,
}: {
  mise: Mise
  ready: Readiness
  stave: Stave | null
  names: (id: string) => string
}) {
  const t = useWords('mise')
  const router = useRouter()
  const words = useMiseWords(mise.kitchen)
  const fixWords = useFixWords(mise)
  if (!stave?.fix) {
    return (
      <Button
        kind="main"
        isTall
        label={t('ready.allReady')}
        detail={t('ready.allReadyDetail', { n: Math.round(ready.portions) })}
        onPress={() => router.push('/line')}
      />
    )
  }
  const { fix } = stave
  const leftS = ((fix.doByMs ?? mise.nowMs) - mise.nowMs) / 1000
  const when =
    leftS >= 0 ? t('ready.callDetail', { time: words.span(leftS) }) : t('ready.callLate', { time: words.span(leftS) })
  const isTick = fix.kind === 'light' || fix.kind === 'check'
  const tick = () => {
    const ids = sayOfMise(mise.next?.id ?? 'stock', { kind: 'checked', checkId: stave.id })
    toast(t('ready.ticked', { name: names(stave.id) }), () => undoMise(mise.next?.id ?? 'stock', ids))
  }
  return (
    <Button
      kind="main"
      isTall
      label={isTick ? t('ready.tickName', { name: names(stave.id) }) : t('ready.call', { what: names(stave.id) })}
      detail={`${when}: ${fixWords(stave)}`}
      onPress={
        isTick
          ? tick
          : () => router.push(fix.kind === 'rice' ? '/rice/tomorrow' : fix.kind === 'bring' ? '/mise/count' : '/mise')
      }
    />
  )
}

/** A dish whose mise falls short may leave the menu: held, and it comes back by undo. */
function OffMenu({ mise, next, ready }: Props) {
  const t = useWords('mise')
  const name = useDishNames()
  const gone = mise.states.get(next.id)?.dropped ?? []
  const atRisk = new Set(
    ready.open
      .filter((stave) => stave.state === 'short' && stave.dishIds.length <= 2)
      .flatMap((stave) => stave.dishIds),
  )
  return (
    <View className="mt-3 gap-2.5">
      {gone.length > 0 && <Text weight="semi">{t('ready.droppedList', { list: gone.map(name).join(', ') })}</Text>}
      {[...atRisk]
        .filter((id) => !gone.includes(id))
        .map((id) => (
          <HoldButton
            key={id}
            kind="plain"
            label={t('ready.drop', { dish: name(id) })}
            onHeld={() => {
              const ids = sayOfMise(next.id, { kind: 'dropped', dishId: id })
              toast(t('ready.dropped', { dish: name(id) }), () => undoMise(next.id, ids))
            }}
          />
        ))}
    </View>
  )
}
