import { useQueryClient } from '@tanstack/react-query'
import { useRouter } from 'expo-router'
import { Button } from '../ui/Button'
import { Text } from '../ui/Text'
import { useWords } from '../words/i18n'
import { DoorPage } from './DoorPage'
import { keepPaper, type Paper } from './paper'
import { RestoredPaper } from './RestoredPaper'

/** What was shown once and has to be on paper before anything else; it stands here until somebody says that it is. */
export function PaperScreen({ paper }: { paper: Paper }) {
  const t = useWords('people')
  const router = useRouter()
  const queries = useQueryClient()
  const goOn = () => {
    keepPaper(null)
    void queries.invalidateQueries()
    // Once the pages are there: before that, the start page's own way to the line could come after this one.
    setTimeout(() => router.replace('/setup/first'), 0)
  }
  return (
    <DoorPage title={t('first.paperTitle')}>
      {paper.kind === 'restored' ? (
        <RestoredPaper kitchen={paper.kitchen} />
      ) : (
        <>
          <Text>{t('first.paper')}</Text>
          <Text size="title" weight="bold" stretch="wide">
            {paper.code}
          </Text>
        </>
      )}
      <Button kind="main" isTall label={t('first.goOn')} detail={t('first.goOnDetail')} onPress={goOn} />
    </DoorPage>
  )
}
