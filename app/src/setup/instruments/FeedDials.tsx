import { View } from 'react-native'
import { useFeed } from '../../line/useFeed'
import { useMay } from '../../people/me'
import { Choice } from '../../ui/Choice'
import { Dial } from '../../ui/Dial'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

const MAX_SEED = 999

/** Whether the simulated feed sends tickets, and which ones. */
export function FeedDials() {
  const t = useWords('setup')
  const { feed, change, error } = useFeed()
  const problem = useProblemSentence(error)
  const mayChange = useMay('arrange')
  if (!feed) return null
  if (!mayChange) return <Text>{t(feed.isOn ? 'on' : 'off')}</Text>
  return (
    <View className="gap-2">
      {problem !== '' && <Notice kind="conflict" isSmall title={problem} />}
      <Text tone="ash">{t('feedDetail')}</Text>
      <View role="radiogroup" aria-label={t('feed')} className="-ml-3 flex-row flex-wrap">
        <Choice role="radio" label={t('on')} isChosen={feed.isOn} onChoose={() => change({ ...feed, isOn: true })} />
        <Choice role="radio" label={t('off')} isChosen={!feed.isOn} onChoose={() => change({ ...feed, isOn: false })} />
      </View>
      <View className="w-64">
        <Text tone="ash">{t('seed')}</Text>
        <Dial
          name={t('seed')}
          value={feed.seed}
          least={0}
          most={MAX_SEED}
          unit={t('seedUnit')}
          lessLabel={t('less')}
          moreLabel={t('more')}
          onChange={(seed) => change({ ...feed, seed })}
        />
      </View>
    </View>
  )
}
