import type { Component, HouseStandard } from 'core/book/dish'
import { deviationsFrom } from 'core/book/variation/standard'
import { Notice } from '../../ui/Notice'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** Says before it is cooked that what is about to be cooked may not bear its name; nothing where it may. */
export function StandardNotice(props: {
  standard: HouseStandard | undefined
  components: readonly Component[]
  saysKept?: boolean
}) {
  const { standard, components, saysKept = false } = props
  const t = useWords('ui')
  if (!standard) return null
  const broken = deviationsFrom(standard, components)
  if (broken.length === 0)
    return saysKept ? (
      <Text size="small" tone="ash">
        {t('standard.kept', { name: standard.name })}
      </Text>
    ) : null
  const words = broken.map((one) =>
    one.kind === 'missing'
      ? t('standard.missing', { name: one.name })
      : t('standard.off', {
          name: one.name,
          percent: `${one.fraction > 0 ? '+' : '−'}${Math.round(Math.abs(one.fraction) * 100)}`,
        }),
  )
  return (
    <Notice kind="conflict" isSmall title={t('standard.broken', { name: standard.name })}>
      {words.join(' · ')}
    </Notice>
  )
}
