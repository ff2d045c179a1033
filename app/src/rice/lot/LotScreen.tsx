import { useState } from 'react'
import { View } from 'react-native'
import { Button } from '../../ui/Button'
import { Frame } from '../../ui/Frame'
import { Sheet } from '../../ui/Sheet'
import { Loading, Problem } from '../../ui/states'
import { useWords } from '../../words/i18n'
import { useLot } from '../useLots'
import { CookingLot } from './CookingLot'
import { CoolingLot } from './CoolingLot'
import type { LotPage, LotSheet } from './lotPage'
import { LabelSheet, LogSheet, TraceSheet } from './sheets/PaperSheets'
import { PortionSheet } from './sheets/PortionSheet'
import { ProbeSheet } from './sheets/ProbeSheet'
import { ReadSheet } from './sheets/ReadSheet'
import { ShelfLot } from './ShelfLot'
import { CountSheet, MoveSheet, ThrowSheet } from './sheets/DialSheets'
import { LoosenSheet } from './sheets/LoosenSheet'

/** A lot's page: on the heat, cooling, or on the shelf. */
export function LotScreen({ id }: { id: string }) {
  const t = useWords('rice')
  const { found, kitchen, house, nowMs, error, isPending, refetch } = useLot(id)
  const [sheet, setSheet] = useState<LotSheet | null>(null)
  if (!found || !kitchen || !house) {
    return (
      <Frame stage="rice">
        {error && !isPending ? (
          <Problem error={error} onRetry={() => void refetch()} />
        ) : (
          <Loading what={t('lot.loading')} />
        )}
      </Frame>
    )
  }
  const page: LotPage = { shown: found, kitchen, house, nowMs }
  return (
    <>
      <Stage {...page} onOpen={setSheet} />
      {sheet && <Opened sheet={sheet} page={page} onOpen={setSheet} onClose={() => setSheet(null)} />}
    </>
  )
}

function Stage(props: LotPage & { onOpen: (sheet: LotSheet) => void }) {
  const { stage } = props.shown.state
  if (stage === 'cooking') return <CookingLot {...props} />
  if (stage === 'cooling' || stage === 'chilling') return <CoolingLot {...props} />
  return <ShelfLot {...props} />
}

function Opened({
  sheet,
  page,
  onOpen,
  onClose,
}: {
  sheet: LotSheet
  page: LotPage
  onOpen: (sheet: LotSheet) => void
  onClose: () => void
}) {
  const props = { ...page, onClose }
  switch (sheet) {
    case 'count':
      return <CountSheet {...props} />
    case 'loosen':
      return <LoosenSheet {...props} />
    case 'throw':
      return <ThrowSheet {...props} />
    case 'move':
      return <MoveSheet {...props} />
    case 'read':
      return <ReadSheet {...props} goesBack={false} />
    case 'back':
      return <ReadSheet {...props} goesBack />
    case 'split':
    case 'merge':
      return <PortionSheet {...props} kind={sheet} />
    case 'label':
      return <LabelSheet {...props} />
    case 'trace':
      return <TraceSheet {...props} />
    case 'log':
      return <LogSheet {...props} />
    case 'probe':
      return <ProbeSheet {...props} />
    case 'more':
      return <MoreSheet {...props} onOpen={onOpen} />
  }
}

const MORE = ['label', 'log', 'count', 'throw'] as const
const MORE_WORDS = { label: 'lot.label', log: 'lot.log', count: 'lot.count', throw: 'lot.throwAway' } as const

function MoreSheet({ shown, onOpen, onClose }: LotPage & { onOpen: (sheet: LotSheet) => void; onClose: () => void }) {
  const t = useWords('rice')
  return (
    <Sheet title={t('lot.moreTitle', { name: shown.lot.name })} isOpen onClose={onClose}>
      <View className="gap-2.5">
        {MORE.map((one) => (
          <Button key={one} label={t(MORE_WORDS[one])} onPress={() => onOpen(one)} />
        ))}
      </View>
    </Sheet>
  )
}
