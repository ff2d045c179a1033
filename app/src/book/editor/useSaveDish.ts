import { useQueryClient } from '@tanstack/react-query'
import { Dish, type DishDraft } from 'contract/dish'
import { useRouter } from 'expo-router'
import { useState } from 'react'
import { Refused, sendJson } from '../../device/http'
import { toast } from '../../ui/Toast'
import { useWords } from '../../words/i18n'

/** Saves an edited dish; where somebody else did meanwhile, their dish is handed back to be put together with this one. */
export function useSaveDish(onSaved: () => void) {
  const t = useWords('book')
  const router = useRouter()
  const queries = useQueryClient()
  const [theirs, setTheirs] = useState<Dish | null>(null)
  const [failure, setFailure] = useState<Error | null>(null)
  const [isSaving, setIsSaving] = useState(false)
  const findTheirs = async (id: string): Promise<Dish | undefined> => {
    await queries.refetchQueries({ queryKey: ['book'], exact: true })
    return queries.getQueryData<{ dishes: Dish[] }>(['book'])?.dishes.find((one) => one.id === id)
  }
  const save = async (wanted: DishDraft, version: number) => {
    setIsSaving(true)
    setFailure(null)
    try {
      const saved = await sendJson('PUT', `/dishes/${wanted.id}`, { version, dish: wanted }, Dish)
      onSaved()
      setTheirs(null)
      toast(t('editor.saved', { dish: saved.name, n: saved.version }))
      await queries.invalidateQueries({ queryKey: ['book'] })
      router.replace(`/book/${saved.id}`)
    } catch (error) {
      const isMeanwhile = error instanceof Refused && error.problem.code === 'edited-meanwhile'
      const now = isMeanwhile ? await findTheirs(wanted.id) : undefined
      if (now) setTheirs(now)
      else setFailure(error as Error)
    } finally {
      setIsSaving(false)
    }
  }
  return { save, theirs, setTheirs, failure, isSaving }
}
