import { useState } from 'react'
import { ScrollView, View } from 'react-native'
import { useKitchen } from '../setup/useKitchen'
import { Frame } from '../ui/Frame'
import { Empty, Loading, Problem } from '../ui/states'
import { useIsWide } from '../ui/useIsWide'
import { useWords } from '../words/i18n'
import { DishScore } from './dish/DishScore'
import { DishActions, DishBody, type PageProps } from './DishBody'
import { useDishes } from './useDishes'
import { useShelf, useStyles } from './useShelf'

export function DishScreen({ id }: { id: string }) {
  const t = useWords('book')
  const book = useDishes()
  const kitchen = useKitchen()
  const { shelf, error, refetch } = useShelf()
  const styles = useStyles()
  const dish = book.data?.dishes.find((one) => one.id === id)
  const style = styles.data?.styles.find((one) => one.id === dish?.style) ?? styles.data?.styles[0]
  const fault = book.error ?? kitchen.error ?? error ?? styles.error
  return dish && kitchen.data && shelf && style ? (
    <DishPage dish={dish} kitchen={kitchen.data} shelf={shelf} style={style} />
  ) : (
    <Frame stage="book">
      {book.data && !dish ? (
        <Empty isPage title={t('notThere')} detail={t('notThereDetail')} />
      ) : fault ? (
        <Problem error={fault} onRetry={() => [book.refetch(), kitchen.refetch(), styles.refetch(), refetch()]} />
      ) : (
        <Loading what={t('loading')} />
      )}
    </Frame>
  )
}

function DishPage(props: PageProps) {
  const { dish, kitchen } = props
  const isWide = useIsWide()
  const [portions, setPortions] = useState(1)
  return (
    <Frame stage="book" bar={<DishActions dish={dish} />}>
      <View className="min-h-0 flex-1 flex-row">
        <DishBody {...props} portions={portions} onPortions={setPortions} hasScore={!isWide} />
        {isWide && (
          <View className="min-h-0 w-[400px] border-l border-edge">
            <ScrollView tabIndex={0} className="min-h-0 flex-1">
              <View className="p-4">
                <DishScore dish={dish} portions={portions} kitchen={kitchen} />
              </View>
            </ScrollView>
          </View>
        )}
      </View>
    </Frame>
  )
}
