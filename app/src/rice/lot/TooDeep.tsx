import { Notice } from '../../ui/Notice'
import { useWords } from '../../words/i18n'
import { centimetres } from '../lotWords'

const SLACK_M = 5e-4

/** A tray deeper than the model cools in time, once it has answered: how deep it may be, and in how many trays. */
export function TooDeep({ depthM, mostM, trays }: { depthM: number; mostM: number | null; trays: number | null }) {
  const t = useWords('rice')
  if (mostM === null || depthM <= mostM + SLACK_M) return null
  return (
    <Notice kind="hazard" isSmall title={t('cooking.tooDeep', { cm: centimetres(depthM) })}>
      {mostM > 0 ? t('cooking.tooDeepDetail', { most: centimetres(mostM), trays: trays ?? 0 }) : t('tomorrow.noneDeep')}
    </Notice>
  )
}
