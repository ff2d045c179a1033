import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Dish, DishVersions } from 'contract/dish'
import { changesBetween } from 'core/book/compareDish'
import { View } from 'react-native'
import { getJson, sendJson } from '../../device/http'
import { Button } from '../../ui/Button'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { formatDay, formatTime } from '../../words/format'
import { useWords } from '../../words/i18n'
import { useChangeWords } from '../editor/changeWords'

const SHOWN = 6

/** Earlier versions with what each changed; any of them can be taken again, as the next one. */
export function Versions({ dish, timeZone }: { dish: Dish; timeZone: string }) {
  const t = useWords('book')
  const queries = useQueryClient()
  const changeWords = useChangeWords()
  const versions = useQuery({
    queryKey: ['book', 'versions', dish.id, dish.version],
    queryFn: ({ signal }) => getJson(`/dishes/${dish.id}/versions`, DishVersions, signal),
  })
  const take = useMutation({
    mutationFn: ({ version: _version, ...draft }: Dish) =>
      sendJson('PUT', `/dishes/${dish.id}`, { version: dish.version, dish: draft }, Dish),
    onSettled: () => queries.invalidateQueries({ queryKey: ['book'] }),
  })
  const sentence = useProblemSentence(take.error)
  const list = versions.data?.versions ?? []
  return (
    <View role="list" className="gap-1">
      {take.error && (
        <Text role="alert" weight="bold">
          {sentence}
        </Text>
      )}
      {list.slice(0, SHOWN).map(({ dish: one, savedAtMs }, i) => {
        const before = list[i + 1]?.dish
        const changes = before ? changesBetween(before, one) : []
        return (
          <View
            key={one.version}
            role="listitem"
            className="flex-row flex-wrap items-center gap-x-3 border-b border-edge py-1"
          >
            <Text weight="bold" stretch="narrow" className="w-8">
              {one.version}
            </Text>
            <Text size="small" tone="ash" stretch="slim" className="w-36">
              {`${formatDay(savedAtMs, timeZone)} ${formatTime(savedAtMs, timeZone)}`}
            </Text>
            <Text size="small" stretch="slim" className="min-w-[160px] flex-1">
              {changeWords(changes)}
            </Text>
            {one.version === dish.version ? (
              <Text size="small" weight="bold">
                {t('dish.thisOne')}
              </Text>
            ) : (
              <Button
                size="body"
                label={t('dish.takeAgain', { n: one.version })}
                isBusy={take.isPending}
                onPress={() => take.mutate(one)}
              />
            )}
          </View>
        )
      })}
    </View>
  )
}
