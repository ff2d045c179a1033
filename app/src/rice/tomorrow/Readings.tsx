import { Dial } from '../../ui/Dial'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'
import { Part, type Change } from './PolicyPart'

/** How many batches of chilled rice stop for a reading at the wok. */
export function Readings({ policy, change }: Change) {
  const t = useWords('rice')
  const names = { lessLabel: t('less', { what: t('policy.read') }), moreLabel: t('moreOf', { what: t('policy.read') }) }
  return (
    <Part title={t('policy.read')}>
      <Dial
        {...names}
        name={t('policy.read')}
        value={policy.readEvery}
        least={1}
        most={20}
        unit={policy.readEvery === 1 ? t('policy.readAll') : t('policy.readUnit')}
        onChange={(readEvery) => change({ readEvery })}
      />
      <Text tone="ash" stretch="slim">
        {t('policy.readDetail', { count: policy.provenAfter })}
      </Text>
    </Part>
  )
}
