import type { StockRow } from 'contract/mise/stock'
import { stockG } from 'core/mise/stock/foldStock'
import { useCallback, useMemo, useState } from 'react'
import { View } from 'react-native'
import { download } from '../../device/download'
import { useNowMs } from '../../device/clock'
import { useKitchen } from '../../setup/useKitchen'
import { useMassWords } from '../../setup/useMassWords'
import { Button } from '../../ui/Button'
import { Choice } from '../../ui/Choice'
import { Field } from '../../ui/Field'
import { Frame } from '../../ui/Frame'
import { Loading, Problem } from '../../ui/states'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { toast } from '../../ui/Toast'
import { useIsWide } from '../../ui/useIsWide'
import { VirtualList } from '../../ui/VirtualList'
import { capital } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Heading, Parts } from '../MisePage'
import { sayOfMise, undoMise, useMiseHouse, useStock } from '../useMise'
import { CountRow } from './CountRow'
import { CountSheet } from './CountSheet'
import { byPlace, isCounted, SHOWS, shownRows, type Show } from './countRows'

const MINUTE_MS = 60_000
const HEADING_PX = 48
const ROW_PX = 65

type Line = { kind: 'place'; id: string; name: string | null } | { kind: 'row'; row: StockRow }

/** A place and its rows as one list of lines. */
const linesOf = (groups: ReturnType<typeof byPlace>): Line[] =>
  groups.flatMap(({ id, name, data }) => [
    { kind: 'place' as const, id, name },
    ...data.map((row) => ({ kind: 'row' as const, row })),
  ])

/** The walk along the shelves: what should be there, a tap where it is so, a number where it is not. */
export function CountScreen() {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const { rows, data, error, refetch } = useStock()
  const house = useMiseHouse().data
  const kitchen = useKitchen().data
  const nowMs = useNowMs(MINUTE_MS)
  const [show, setShow] = useState<Show>('all')
  const [wanted, setWanted] = useState('')
  const [openId, setOpenId] = useState<string | null>(null)
  const count = useCallback(
    (row: StockRow, massG: number) => {
      const expectedG = Math.round(stockG(row) * 10) / 10
      const ids = sayOfMise('stock', { kind: 'counted', itemId: row.itemId, placeId: row.placeId, massG, expectedG })
      toast(t('count.counted', { name: row.name, mass: mass(massG) }), () => undoMise('stock', ids))
    },
    [t, mass],
  )
  const places = house?.policy.places
  const groups = useMemo(
    () => byPlace(shownRows(rows, show, wanted, nowMs), places ?? []),
    [rows, show, wanted, nowMs, places],
  )
  const lines = useMemo(() => linesOf(groups), [groups])
  const isWide = useIsWide()
  if (!data || !house || !kitchen) {
    return (
      <Frame stage="mise">
        {error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />}
      </Frame>
    )
  }
  const open = rows.find((row) => row.itemId === openId)
  const done = rows.filter((row) => isCounted(row, nowMs)).length
  const nextRow = groups.flatMap((group) => group.data).find((row) => !isCounted(row, nowMs))
  const tools = <Tools {...{ done, show, setShow, wanted, setWanted }} all={rows.length} />
  const csv = (
    <Button
      className="mt-4"
      label={t('count.csv')}
      onPress={() => download('/api/mise/count.csv', 'okazu-count.csv')}
    />
  )
  const next = nextRow && <NextRow row={nextRow} onRight={count} onOpen={setOpenId} />
  return (
    <Frame stage="mise" bar={next}>
      <View className="min-h-0 flex-1 flex-row">
        <VirtualList<Line>
          items={lines}
          keyOf={(one) => (one.kind === 'place' ? `place ${one.id}` : one.row.itemId)}
          estimatePx={(one) => (one.kind === 'place' ? HEADING_PX : ROW_PX)}
          className="px-4"
          header={
            <View>
              <Parts part="count" />
              <PageHeading size="step" weight="bold">
                {t('count.how')}
              </PageHeading>
              {!isWide && tools}
            </View>
          }
          footer={isWide ? null : csv}
          render={(one) =>
            one.kind === 'place' ? (
              <Heading>{one.name ?? t('count.nowhere')}</Heading>
            ) : (
              <CountRow row={one.row} isCounted={isCounted(one.row, nowMs)} onRight={count} onOpen={setOpenId} />
            )
          }
        />
        {isWide && (
          <View className="w-[360px] gap-3 border-l border-edge p-4">
            {tools}
            {next && (
              <Text role="heading" aria-level={2} weight="bold">
                {t('count.next')}
              </Text>
            )}
            {next}
            {csv}
          </View>
        )}
      </View>
      {open && (
        <CountSheet key={open.itemId} row={open} kitchen={kitchen} onCount={count} onClose={() => setOpenId(null)} />
      )}
    </Frame>
  )
}

type ToolsProps = {
  done: number
  all: number
  show: Show
  setShow: (show: Show) => void
  wanted: string
  setWanted: (wanted: string) => void
}

/** How far the count is, and what of it is shown. */
function Tools({ done, all, show, setShow, wanted, setWanted }: ToolsProps) {
  const t = useWords('mise')
  return (
    <>
      <Text tone="ash">{t('count.progress', { done, all })}</Text>
      <View role="radiogroup" aria-label={t('count.filter')} className="-ml-3 flex-row flex-wrap">
        {SHOWS.map((one) => (
          <Choice
            key={one}
            role="radio"
            label={t(`count.show.${one}`)}
            isChosen={one === show}
            onChoose={() => setShow(one)}
          />
        ))}
      </View>
      <Field label={t('count.find')} value={wanted} onChange={setWanted} maxLength={60} />
    </>
  )
}

/** One hand along the shelf: the next line is under the thumb, right as it is or with another number. */
function NextRow({
  row,
  onRight,
  onOpen,
}: {
  row: StockRow
  onRight: (row: StockRow, massG: number) => void
  onOpen: (itemId: string) => void
}) {
  const { mass } = useMassWords()
  const t = useWords('mise')
  const thereG = Math.round(stockG(row) * 10) / 10
  const name = `${capital(row.name)} ${row.form}`.trim()
  return (
    <View className="flex-row gap-2.5">
      <Button
        isTall
        kind="main"
        size="step"
        label={name}
        detail={t('count.rightHere', { mass: mass(thereG) })}
        className="min-w-0 flex-1"
        onPress={() => onRight(row, thereG)}
      />
      <Button
        isTall
        size="body"
        label={t('count.other')}
        accessibleName={`${t('count.next')}, ${t('count.otherName', { name })}`}
        className="w-[76px]"
        onPress={() => onOpen(row.itemId)}
      />
    </View>
  )
}
