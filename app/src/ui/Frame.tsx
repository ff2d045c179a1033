import { useRouter, usePathname, type Href } from 'expo-router'
import { useState, type ReactNode } from 'react'
import { Pressable, View } from 'react-native'
import { useWords } from '../words/i18n'
import { leave } from './form/leave'
import { LeaveSheet } from './form/LeaveSheet'
import { Beads } from './icons'
import { Notices } from './Notices'
import { Sheet } from './Sheet'
import { Text } from './Text'
import { WhoButton } from '../people/WhoButton'
import { ToastPlace } from './Toast'
import { useIsWide } from './useIsWide'

/** Where one can go; the five words of the work in their order, then the rest. */
const PLACES = [
  { stage: 'rice', href: '/rice', bead: 0 },
  { stage: 'mise', href: '/mise', bead: 1 },
  { stage: 'wok', href: '/wok', bead: 2 },
  { stage: 'line', href: '/line', bead: 3 },
  { stage: 'record', href: '/record', bead: 4 },
  { stage: 'book', href: '/book', bead: null },
  { stage: 'setup', href: '/setup', bead: null },
] as const satisfies readonly { stage: string; href: Href; bead: number | null }[]
type Stage = (typeof PLACES)[number]['stage']

/** Every screen's frame: a rail on wide screens, a bar under the thumb on phones; what the network keeps back on top. */
export function Frame({ stage, children, bar }: { stage: Stage; children: ReactNode; bar?: ReactNode }) {
  const isWide = useIsWide()
  return (
    <View className="min-h-0 flex-1 flex-row bg-ground">
      {isWide && <Rail stage={stage} />}
      <View className="min-h-0 min-w-0 flex-1">
        <Notices />
        <View role="main" className="min-h-0 flex-1">
          {children}
        </View>
        {!isWide && (
          <View className="screen-only flex-row gap-2.5 border-t border-edge bg-plate p-3">
            <NavButton stage={stage} />
            <View className="min-w-0 flex-1">{bar}</View>
          </View>
        )}
        <ToastPlace />
        <LeaveSheet />
      </View>
    </View>
  )
}

function Rail({ stage }: { stage: Stage }) {
  const t = useWords('ui')
  return (
    <View role="navigation" aria-label={t('nav')} className="w-[88px] border-r border-edge bg-channel pt-5">
      <Text weight="bold" stretch="wide" tone="channel" className="mb-6 text-center">
        {t('brand')}
      </Text>
      {PLACES.map((place) => (
        <RailLink
          key={place.stage}
          href={place.href}
          label={t(`stages.${place.stage}`)}
          isHere={place.stage === stage}
        />
      ))}
      <View className="flex-1" />
      <WhoButton isOnChannel className="mb-3 border-t border-edge px-3 pt-2" />
    </View>
  )
}

function RailLink({ href, label, isHere }: { href: Href; label: string; isHere: boolean }) {
  const router = useRouter()
  return (
    <Pressable
      role="link"
      aria-current={isHere ? 'page' : undefined}
      onPress={() => leave(() => router.push(href))}
      className={`ring-focus min-h-14 items-center justify-center border-l-4 ${isHere ? 'border-celadon bg-ground' : 'border-transparent'}`}
    >
      <Text weight="semi" tone={isHere ? 'rice' : 'quiet'}>
        {label}
      </Text>
    </Pressable>
  )
}

function NavButton({ stage }: { stage: Stage }) {
  const t = useWords('ui')
  const router = useRouter()
  const path = usePathname()
  const [isOpen, setIsOpen] = useState(false)
  const here = PLACES.find((place) => place.stage === stage)
  return (
    <>
      <Pressable
        role="button"
        aria-label={`${t('nav')}, ${t(`stages.${stage}`)}`}
        aria-expanded={isOpen}
        onPress={() => setIsOpen(true)}
        className="ring-focus h-24 w-[86px] self-end items-center justify-center gap-1 rounded-lg border border-line bg-ground active:bg-plate"
      >
        <Beads at={here?.bead ?? -1} sizePx={54} />
        <Text weight="bold">{t(`stages.${stage}`)}</Text>
      </Pressable>
      <Sheet title={t('nav')} isOpen={isOpen} onClose={() => setIsOpen(false)}>
        <WhoButton className="border-b border-edge" onChanged={() => setIsOpen(false)} />
        <View role="navigation" aria-label={t('nav')}>
          {PLACES.map((place) => (
            <Pressable
              key={place.stage}
              role="link"
              aria-current={place.stage === stage ? 'page' : undefined}
              className="ring-focus min-h-16 flex-row items-center gap-4 border-b border-edge active:bg-ground"
              onPress={() => {
                setIsOpen(false)
                if (path !== place.href) leave(() => router.push(place.href))
              }}
            >
              <View
                className={`h-4 w-4 rounded-full border-2 ${place.stage === stage ? 'border-celadon bg-celadon' : 'border-rice'}`}
              />
              <Text size="lead" weight="bold" stretch="slim">
                {t(`stages.${place.stage}`)}
              </Text>
            </Pressable>
          ))}
        </View>
      </Sheet>
    </>
  )
}
