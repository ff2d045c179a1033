import type { Kitchen } from 'contract/kitchen'
import { useRouter } from 'expo-router'
import type { ReactNode } from 'react'
import { ScrollView, View } from 'react-native'
import { changeSettings, useSettings } from '../device/settings'
import { give, openSound } from '../device/signal'
import { speak } from '../device/speech'
import { Button } from '../ui/Button'
import { Choice } from '../ui/Choice'
import { Frame } from '../ui/Frame'
import { PageHeading } from '../ui/PageHeading'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { BackupSection } from './BackupSection'
import { ReadingsSection } from './ReadingsSection'
import { RuleSetSection } from './RuleSetSection'
import { useKitchen } from './useKitchen'
import { HouseLinks } from './people/HouseLinks'
import { waveSummary } from './waves/waveSummary'
import { writeMass } from 'core/measure/scaleUnit'

const THEMES = ['auto', 'steel', 'paper'] as const

export function SetupScreen() {
  const t = useWords('setup')
  const router = useRouter()
  const settings = useSettings()
  const kitchen = useKitchen().data
  const trySignals = () => {
    openSound()
    give('next')
    speak(t('speechSample'))
  }
  return (
    <Frame stage="setup">
      <ScrollView tabIndex={0} className="min-h-0 flex-1">
        <View className="gap-2 p-4">
          <PageHeading size="title" weight="bold" stretch="wide">
            {t('title')}
          </PageHeading>
          <View className="gap-x-10 md:flex-row">
            <View className="min-w-0 gap-2 md:flex-1">
              <HouseLinks />
              <Section title={t('device')}>
                <Row name={t('theme')}>
                  {THEMES.map((theme) => (
                    <Choice
                      key={theme}
                      role="radio"
                      label={t(`themes.${theme}`)}
                      isChosen={settings.theme === theme}
                      onChoose={() => changeSettings({ theme })}
                    />
                  ))}
                </Row>
                <OnOff
                  name={t('handsFree')}
                  isOn={settings.handsFree}
                  onChange={(handsFree) => changeSettings({ handsFree })}
                />
                <Text tone="ash">{t('handsFreeDetail')}</Text>
                <OnOff name={t('sound')} isOn={settings.sound} onChange={(sound) => changeSettings({ sound })} />
                <OnOff
                  name={t('vibration')}
                  isOn={settings.vibration}
                  onChange={(vibration) => changeSettings({ vibration })}
                />
                <OnOff name={t('speech')} isOn={settings.speech} onChange={(speech) => changeSettings({ speech })} />
                <Text tone="ash">{t('speechDetail')}</Text>
                <Button size="body" label={t('trySignals')} className="w-44" onPress={trySignals} />
              </Section>
            </View>
            <View className="min-w-0 gap-2 md:flex-1">
              {kitchen && <KitchenSection kitchen={kitchen} />}
              <Button label={t('parts')} onPress={() => router.push('/setup/parts')} className="mt-4 md:w-72" />
            </View>
          </View>
        </View>
      </ScrollView>
    </Frame>
  )
}

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <View className="mt-4 gap-1 border-t border-edge pt-3">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {title}
      </Text>
      {children}
    </View>
  )
}

function Row({ name, children }: { name: string; children: ReactNode }) {
  return (
    <View className="border-b border-edge py-1">
      <Text tone="ash">{name}</Text>
      <View role="radiogroup" aria-label={name} className="flex-row flex-wrap">
        {children}
      </View>
    </View>
  )
}

function OnOff({ name, isOn, onChange }: { name: string; isOn: boolean; onChange: (isOn: boolean) => void }) {
  const t = useWords('setup')
  return (
    <Row name={name}>
      <Choice role="radio" label={t('on')} isChosen={isOn} onChoose={() => onChange(true)} />
      <Choice role="radio" label={t('off')} isChosen={!isOn} onChoose={() => onChange(false)} />
    </Row>
  )
}

function KitchenSection({ kitchen }: { kitchen: Kitchen }) {
  const t = useWords('setup')
  const router = useRouter()
  return (
    <Section title={kitchen.name}>
      <Text tone="ash">{t('stations')}</Text>
      {kitchen.stations.map((station) => (
        <Button
          key={station.id}
          label={station.name}
          detail={`${t(`kinds.${station.kind}`)}, ${t('stationCap', { count: station.capPortions })}`}
          accessibleName={t('station.open', { name: station.name })}
          onPress={() => router.push(`/setup/station/${station.id}`)}
        />
      ))}
      <Text tone="ash" className="mt-2">
        {t('waves.title')}
      </Text>
      <Button
        label={t('waves.open')}
        detail={waveSummary(t, kitchen.waves)}
        onPress={() => router.push('/setup/waves')}
      />
      <Text tone="ash" className="mt-2">
        {t('measures')}
      </Text>
      <Text>
        {[
          t(`systems.${kitchen.tools.system}`),
          ...kitchen.tools.ladles.map((ladle) => t('ladle', { name: ladle.name, mL: ladle.volumeML })),
          t('scale', { mass: writeMass(kitchen.tools.scaleResolutionG, kitchen.weighsIn) }),
        ].join(' · ')}
      </Text>
      <Button
        label={t('instruments.title')}
        detail={
          kitchen.instruments.length === 0
            ? t('instruments.none')
            : kitchen.instruments.map((one) => t(`instruments.names.${one}`)).join(', ')
        }
        onPress={() => router.push('/setup/instruments')}
      />
      <RuleSetSection kitchen={kitchen} />
      <ReadingsSection kitchen={kitchen} />
      <BackupSection timeZone={kitchen.timeZone} />
    </Section>
  )
}
