import type { ReactNode } from 'react'
import { Frame } from '../ui/Frame'
import { Loading, Problem } from '../ui/states'
import { useWords } from '../words/i18n'
import { useKitchenPlan, type Mise } from './useKitchenPlan'

/** What needs the plan, once it is here; until then what it waits for, or why it does not come. */
export function WithMise({ children }: { children: (mise: Mise) => ReactNode }) {
  const t = useWords('mise')
  const { mise, error, refetch } = useKitchenPlan()
  if (mise) return children(mise)
  return (
    <Frame stage="mise">
      {error ? <Problem error={error} onRetry={() => void refetch()} /> : <Loading what={t('loading')} />}
    </Frame>
  )
}
