import { useQueryClient } from '@tanstack/react-query'
import { LiveChange } from 'contract/run'
import { useEffect } from 'react'
import { noteReachable } from '../device/network'

const RETRY_MS = 1500

/**
 * Follows every committed change of the kitchen and asks again for what is on screen of it; resumes after a gap.
 * @param isIn whether the kitchen lets this device in
 */
export function useLive(isIn: boolean): void {
  const queries = useQueryClient()
  useEffect(() => {
    if (!isIn) return
    let lastNo: string | null = null
    let source: EventSource | null = null
    let timer: ReturnType<typeof setTimeout>
    const open = () => {
      source = new EventSource(`/api/live${lastNo === null ? '' : `?after=${lastNo}`}`)
      source.addEventListener('hello', (event) => {
        const isFirst = lastNo === null
        const { isReset } = JSON.parse(String(event.data)) as { isReset: boolean }
        lastNo = event.lastEventId
        noteReachable(true)
        if (isFirst || isReset) void queries.invalidateQueries()
      })
      source.addEventListener('change', (event) => {
        const change = LiveChange.parse(JSON.parse(String(event.data)))
        lastNo = event.lastEventId
        void queries.invalidateQueries({ queryKey: [change.topic] })
      })
      source.addEventListener('error', () => {
        source?.close()
        noteReachable(false)
        timer = setTimeout(open, RETRY_MS)
        void queries.invalidateQueries({ queryKey: ['people', 'me'] })
      })
    }
    open()
    return () => {
      clearTimeout(timer)
      source?.close()
    }
  }, [queries, isIn])
}
