import { useState } from 'react'
import { Pressable } from 'react-native'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { useMe } from './me'
import { PersonSheet } from './PersonSheet'

type Props = { className?: string; isOnChannel?: boolean; onChanged?: () => void }

/** Who is at this device; a tap changes it, and what it stands on may close with it. */
export function WhoButton({ className = '', isOnChannel = false, onChanged }: Props) {
  const t = useWords('people')
  const me = useMe()
  const [isOpen, setIsOpen] = useState(false)
  const name = me?.person?.name ?? t('who.nobody')
  return (
    <>
      <Pressable
        role="button"
        aria-label={t('who.change', { name })}
        onPress={() => setIsOpen(true)}
        className={`ring-focus min-h-14 min-w-14 justify-center active:bg-ground ${className}`}
      >
        <Text
          weight="semi"
          stretch="slim"
          tone={isOnChannel ? 'channel' : 'rice'}
          numberOfLines={1}
          className="self-start border-b-2 border-ash"
        >
          {name}
        </Text>
        {me?.person && (
          <Text size="small" tone={isOnChannel ? 'quiet' : 'ash'} stretch="slim" numberOfLines={1}>
            {t(`who.roles.${me.person.role}`)}
          </Text>
        )}
      </Pressable>
      <PersonSheet isOpen={isOpen} onClose={() => setIsOpen(false)} onChanged={onChanged} />
    </>
  )
}
