import { Choice } from '../ui/Choice'
import { useHas } from '../setup/useKitchen'
import { useWords } from '../words/i18n'
import { useFeed } from './useFeed'

export function FeedSwitch() {
  const t = useWords('line')
  const { feed, change } = useFeed()
  const hasFeed = useHas('feed')
  if (!feed || !hasFeed) return null
  return (
    <Choice
      role="checkbox"
      label={feed.isOn ? t('feedOn') : t('feedOff')}
      isChosen={feed.isOn}
      onChoose={() => change({ ...feed, isOn: !feed.isOn })}
    />
  )
}
