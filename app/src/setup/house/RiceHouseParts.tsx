import { useMay } from '../../people/me'
import { Button } from '../../ui/Button'
import { HoldButton } from '../../ui/HoldButton'
import { Notice } from '../../ui/Notice'
import { toast } from '../../ui/Toast'
import { useProblemSentence } from '../../ui/states'
import { useWords } from '../../words/i18n'
import { useRemoveThing } from './useHouse'

/** What was saved is said, with the way back, and the sheet closes. */
export function said(words: string, undo: (() => void) | undefined, reset: () => void, onDone: () => void): void {
  toast(words, undo)
  reset()
  onDone()
}

export function SaveButton({ isBusy, onPress }: { isBusy: boolean; onPress: () => void }) {
  const t = useWords('setup')
  const mayChange = useMay('arrange')
  return (
    <Button
      kind="main"
      label={t('house.rice.save')}
      isBusy={isBusy}
      disabledBecause={mayChange ? undefined : t('house.mayNot')}
      onPress={onPress}
    />
  )
}

type TakeOutProps = { name: string; path: string; onUndo: () => void; onDone: () => void }

/** Held to take a thing out of the house; what stands in it is named by the kitchen. */
export function TakeOut({ name, path, onUndo, onDone }: TakeOutProps) {
  const t = useWords('setup')
  const remove = useRemoveThing()
  const problem = useProblemSentence(remove.error)
  if (!useMay('arrange')) return null
  return (
    <>
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <HoldButton
        label={t('house.rice.remove', { name })}
        detail={t('house.rice.removeDetail')}
        onHeld={() =>
          remove.mutate(path, {
            onSuccess: () => {
              toast(t('house.rice.removed', { name }), onUndo)
              onDone()
            },
          })
        }
      />
    </>
  )
}
