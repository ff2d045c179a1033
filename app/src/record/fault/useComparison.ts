import { useQuery } from '@tanstack/react-query'
import { Comparison } from 'contract/faults'
import { getJson } from '../../device/http'

/** What something may have been wrong with: a run, the runs of a ticket, or those of a day. */
export type Suspect = { kind: 'run'; id: string } | { kind: 'ticket'; id: string } | { kind: 'evening'; day: string }

function pathOf(suspect: Suspect): string {
  switch (suspect.kind) {
    case 'run':
      return `/runs/${suspect.id}`
    case 'ticket':
      return `/tickets/${suspect.id}`
    case 'evening':
      return `/record/evenings/${suspect.day}`
  }
}

/** Its runs beside runs of their dishes that went well. */
export const useComparison = (suspect: Suspect) =>
  useQuery({
    queryKey: ['record', 'comparison', suspect],
    queryFn: ({ signal }) => getJson(`${pathOf(suspect)}/comparison`, Comparison, signal),
  })
