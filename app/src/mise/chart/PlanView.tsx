import { useState, type ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { Frame } from '../../ui/Frame'
import { PageHeading } from '../../ui/PageHeading'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { Infeasible } from '../doing/Infeasible'
import { Parts } from '../MisePage'
import type { Mise } from '../useKitchenPlan'
import { PlanChart } from './PlanChart'
import { Rails } from './Rails'

type Props = { mise: Mise; openId: string | null; onOpen: (id: string) => void; aside: ReactNode }

/** The wide mise: the plan and the rails at the left, my next task and what is tight at the right. */
export function PlanView({ mise, openId, onOpen, aside }: Props) {
  const t = useWords('mise')
  const [widthPx, setWidthPx] = useState(0)
  const { next, kitchen } = mise
  const portions = (next?.drawn?.portions ?? []).reduce((sum, one) => sum + one.portions, 0)
  return (
    <Frame stage="mise">
      <View className="min-h-0 flex-1 flex-row">
        <ScrollView tabIndex={0} className="min-h-0 flex-1">
          <View className="px-4 pb-4 pt-2" onLayout={(event) => setWidthPx(event.nativeEvent.layout.width - 32)}>
            <View className="flex-row flex-wrap items-start justify-between">
              <View>
                <PageHeading size="lead" weight="bold" stretch="wide">
                  {next ? t('backFrom', { time: formatTime(next.fromMs, kitchen.timeZone) }) : t('title')}
                </PageHeading>
                {next && (
                  <Text tone="ash">
                    {t('portions', { n: portions, day: formatDay(next.fromMs, kitchen.timeZone) })}
                  </Text>
                )}
              </View>
              <Parts part="now" />
            </View>
            <Infeasible mise={mise} />
            {widthPx > 0 && <PlanChart mise={mise} widthPx={widthPx} openId={openId} onOpen={onOpen} />}
            <Text size="small" tone="ash">
              {t('chart.string')}
            </Text>
            {widthPx > 0 && <Rails mise={mise} widthPx={widthPx} />}
            <Text size="small" tone="ash" className="mt-2">
              {t('local')}
            </Text>
          </View>
        </ScrollView>
        <ScrollView tabIndex={0} className="w-[304px] grow-0 border-l border-edge bg-plate">
          <View className="px-4 pb-4">{aside}</View>
        </ScrollView>
      </View>
    </Frame>
  )
}
