import { HEAT_LEVELS } from 'core/wok/score'
import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { HeatChip } from '../wok/StepFace'
import { Button } from '../ui/Button'
import { HoldButton } from '../ui/HoldButton'
import { Choice } from '../ui/Choice'
import { Dial } from '../ui/Dial'
import { Frame } from '../ui/Frame'
import { Triangle } from '../ui/icons'
import { Notice } from '../ui/Notice'
import { Sheet } from '../ui/Sheet'
import { Empty, Loading, Problem } from '../ui/states'
import { NoAnswer } from '../device/http'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { toast } from '../ui/Toast'
import { useIsWide } from '../ui/useIsWide'
import { useWords } from '../words/i18n'

/** For developers: every shared part in both grounds. */
export function PartsScreen() {
  const t = useWords('setup')
  const isWide = useIsWide()
  return (
    <Frame stage="setup">
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <PageHeading size="title" weight="bold" stretch="wide" className="p-4">
          {t('partsTitle')}
        </PageHeading>
        <View className={isWide ? 'flex-row' : ''}>
          <Parts theme="steel" />
          <Parts theme="paper" />
        </View>
      </ScrollView>
    </Frame>
  )
}

/** Every size of type. */
function Sizes() {
  const t = useWords('setup')
  return (
    <>
      <View className="flex-row flex-wrap items-end gap-4">
        <Text size="clock" weight="bold" stretch="narrow">
          {t('samples.figure')}
        </Text>
        <Text size="action" weight="bold" stretch="narrow">
          {t('samples.action')}
        </Text>
        <Text size="amount" weight="bold" stretch="narrow">
          {t('samples.amount')}
        </Text>
      </View>
      <View>
        <Text size="title" weight="bold" stretch="wide">
          {t('samples.titleText')}
        </Text>
        <Text size="step" weight="bold">
          {t('samples.step')}
        </Text>
        <Text>{t('samples.sentence')}</Text>
        <Text size="small" tone="ash">
          {t('samples.small')}
        </Text>
      </View>
    </>
  )
}

const nothing = () => undefined

/** Targets, at rest, refused and busy. */
function Targets() {
  const t = useWords('setup')
  return (
    <>
      <View className="flex-row gap-3">
        <Button kind="main" label={t('samples.fire')} onPress={nothing} className="flex-1" />
        <Button
          kind="main"
          label={t('samples.fire')}
          disabledBecause={t('samples.noRice')}
          onPress={nothing}
          className="flex-1"
        />
        <Button kind="main" label={t('samples.firing')} isBusy onPress={nothing} className="flex-1" />
      </View>
      <View className="flex-row gap-3">
        <Button label={t('samples.trouble')} onPress={nothing} className="flex-1" />
        <Button
          label={t('samples.trouble')}
          disabledBecause={t('samples.noRun')}
          onPress={nothing}
          className="flex-1"
        />
        <HoldButton
          label={t('samples.stop')}
          detail={t('samples.hold')}
          icon={<Triangle sizePx={22} />}
          onHeld={nothing}
          className="flex-1"
        />
      </View>
    </>
  )
}

function Parts({ theme }: { theme: 'steel' | 'paper' }) {
  const t = useWords('setup')
  const [value, setValue] = useState(46)
  const [isA, setIsA] = useState(true)
  const [isOpen, setIsOpen] = useState(false)
  return (
    <View className="min-w-0 flex-1 gap-4 bg-ground p-5" {...{ dataSet: { theme } }}>
      <Text role="heading" aria-level={2} size="title" weight="bold" stretch="wide">
        {t(`partsGround.${theme}`)}
      </Text>
      <Sizes />
      <Targets />
      <Text tone="ash">{t('samples.dial')}</Text>
      <Dial
        name={t('samples.dial')}
        value={value}
        least={0}
        most={120}
        step={2}
        unit={t('samples.grams')}
        lessLabel={t('less')}
        moreLabel={t('more')}
        onChange={setValue}
      />
      <View className="flex-row">
        <Choice role="checkbox" label={t('samples.choiceA')} isChosen={isA} onChoose={() => setIsA(!isA)} />
        <Choice role="checkbox" label={t('samples.choiceB')} isChosen={!isA} onChoose={() => setIsA(!isA)} />
      </View>
      <Notice kind="allergy" title={t('samples.allergyTitle')}>
        {t('samples.allergyDetail')}
      </Notice>
      <View className="flex-row gap-3">
        <View className="flex-1">
          <Notice kind="hazard" isSmall title={t('samples.hazard')} />
        </View>
        <View className="flex-1">
          <Notice kind="conflict" isSmall title={t('samples.conflict')} />
        </View>
      </View>
      <View className="flex-row flex-wrap gap-2">
        {HEAT_LEVELS.map((heat) => (
          <HeatChip key={heat} heat={heat} />
        ))}
      </View>
      <View className="flex-row">
        <Empty title={t('samples.emptyTitle')} detail={t('samples.emptyDetail')} />
        <Loading what={t('samples.loading')} />
      </View>
      <Problem error={new NoAnswer('sample')} onRetry={nothing} />
      <Button label={t('samples.showToast')} onPress={() => toast(t('samples.toast'), nothing)} />
      <Button label={t('samples.sheet')} onPress={() => setIsOpen(true)} />
      <Sheet title={t('samples.sheetTitle')} isOpen={isOpen} onClose={() => setIsOpen(false)}>
        <Text>{t('samples.sheetText')}</Text>
      </Sheet>
    </View>
  )
}
