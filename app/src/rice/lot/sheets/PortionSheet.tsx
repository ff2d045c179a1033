import { useMutation, useQueryClient } from '@tanstack/react-query'
import { Lot, type Portioning } from 'contract/rice'
import { useState } from 'react'
import { View } from 'react-native'
import { kitchenNowMs } from '../../../device/clock'
import { sendJson } from '../../../device/http'
import { newId } from '../../../device/ids'
import { Button } from '../../../ui/Button'
import { Notice } from '../../../ui/Notice'
import { Sheet } from '../../../ui/Sheet'
import { useProblemSentence } from '../../../ui/states'
import { Text } from '../../../ui/Text'
import { useWords } from '../../../words/i18n'
import { useLots } from '../../useLots'
import type { LotPage } from '../lotPage'
import { useMassWords } from '../../../setup/useMassWords'
import { BulkDial } from '../../BulkDial'

/** A part of a lot into a lot of its own, or all of it to another. Both lots change at once, so it needs the kitchen. */
export function PortionSheet({ shown, kind, onClose }: LotPage & { kind: Portioning['kind']; onClose: () => void }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const queries = useQueryClient()
  const { lot, state } = shown
  const [massG, setMassG] = useState(Math.round(state.massG / 200) * 100)
  const send = useMutation({
    mutationFn: (input: Portioning) => sendJson('POST', `/rice/lots/${lot.id}/portion`, input, Lot),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['rice'] })
      onClose()
    },
  })
  const problem = useProblemSentence(send.error)
  const pour = (toLotId: string, pouredG: number) =>
    send.mutate({ kind, id: newId(), toLotId, massG: pouredG, atMs: Math.round(kitchenNowMs()) })
  const name = lot.name
  return (
    <Sheet
      title={kind === 'split' ? t('lot.splitTitle', { name }) : t('lot.mergeTitle', { name })}
      isOpen
      onClose={onClose}
    >
      <View className="gap-4">
        {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
        {kind === 'split' ? (
          <>
            <BulkDial
              name={t('cooking.mass')}
              massG={massG}
              leastG={100}
              mostG={Math.max(100, state.massG)}
              onChange={setMassG}
            />
            <Button
              kind="main"
              isTall
              isBusy={send.isPending}
              label={t('lot.splitDo', { mass: bulk(massG) })}
              onPress={() => pour(newId(), Math.min(massG, state.massG))}
            />
          </>
        ) : (
          <Others {...{ shown, isBusy: send.isPending }} onPour={(toLotId) => pour(toLotId, state.massG)} />
        )}
      </View>
    </Sheet>
  )
}

const COLD = ['ready', 'tempering', 'frozen']

function Others({
  shown,
  isBusy,
  onPour,
}: Pick<LotPage, 'shown'> & { isBusy: boolean; onPour: (toLotId: string) => void }) {
  const { bulk } = useMassWords()
  const t = useWords('rice')
  const { lots } = useLots()
  const others = lots.filter(({ lot, state }) => lot.id !== shown.lot.id && COLD.includes(state.stage))
  return (
    <>
      <Text>{t('lot.mergeDetail')}</Text>
      {others.length === 0 && <Text tone="ash">{t('lot.mergeNone')}</Text>}
      {others.map(({ lot, state }) => (
        <Button
          key={lot.id}
          isBusy={isBusy}
          label={t('lot.mergeDo', { name: lot.name })}
          detail={bulk(state.massG)}
          onPress={() => onPour(lot.id)}
        />
      ))}
    </>
  )
}
