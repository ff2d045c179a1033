import { useMutation, useQueryClient } from '@tanstack/react-query'
import { DishImported } from 'contract/dish'
import { useState } from 'react'
import { TextInput, View } from 'react-native'
import { sendFile, Refused } from '../../device/http'
import { chooseFile } from '../../device/chooseFile'
import { Button } from '../../ui/Button'
import { Notice } from '../../ui/Notice'
import { useProblemSentence } from '../../ui/states'
import { Text } from '../../ui/Text'
import { useWords } from '../../words/i18n'

/** A dish from a CSV file: name it, choose the file; every fault is named by line and column. */
export function DishCsv() {
  const t = useWords('book')
  const queries = useQueryClient()
  const [name, setName] = useState('')
  const [isNameMissing, setIsNameMissing] = useState(false)
  const bring = useMutation({
    mutationFn: (file: ArrayBuffer) =>
      sendFile(`/dishes/import?name=${encodeURIComponent(name.trim())}`, file, 'text/csv', DishImported),
    onSuccess: () => queries.invalidateQueries({ queryKey: ['book'] }),
  })
  const sentence = useProblemSentence(bring.error)
  const faults = bring.error instanceof Refused ? bring.error.problem.faults : []
  const choose = async () => {
    if (name.trim() === '') {
      setIsNameMissing(true)
      return
    }
    const file = await chooseFile('.csv,text/csv')
    if (file) bring.mutate(await file.arrayBuffer())
  }
  return (
    <View className="gap-3 rounded-lg border border-edge bg-plate p-4">
      <Text role="heading" aria-level={2} size="step" weight="bold">
        {t('files.dishCsv')}
      </Text>
      <Text tone="ash">{t('files.csvHow')}</Text>
      <View className="gap-1">
        <Text nativeID="import-name">{t('files.name')}</Text>
        <TextInput
          aria-labelledby="import-name"
          aria-invalid={isNameMissing}
          aria-describedby={isNameMissing ? 'import-name-fault' : undefined}
          value={name}
          maxLength={120}
          onChangeText={(text) => {
            setName(text)
            setIsNameMissing(false)
          }}
          className="ring-focus min-h-14 rounded-lg border border-line bg-ground px-3 font-sans text-step text-rice"
        />
        {isNameMissing && (
          <Text role="alert" nativeID="import-name-fault" weight="bold">
            {t('files.nameMissing')}
          </Text>
        )}
      </View>
      <Button
        label={bring.isPending ? t('files.busy') : t('files.chooseCsv')}
        isBusy={bring.isPending}
        onPress={() => void choose()}
      />
      <View aria-live="polite" className="gap-2">
        {bring.error && (
          <Notice kind="conflict" title={sentence}>
            {faults.map((fault) => (
              <Text key={fault.field + fault.message} tone="inverse">{`${fault.field}: ${fault.message}`}</Text>
            ))}
          </Notice>
        )}
        {bring.data && (
          <>
            <Text weight="bold">{t('files.done', { dish: bring.data.dish.name, n: bring.data.dish.version })}</Text>
            {bring.data.unknownNames.length > 0 && (
              <Notice
                kind="conflict"
                isSmall
                title={t('files.unknown', {
                  count: bring.data.unknownNames.length,
                  list: bring.data.unknownNames.join(', '),
                })}
              />
            )}
            {bring.data.rawNames.length > 0 && (
              <Notice kind="hazard" isSmall title={t('files.raw', { list: bring.data.rawNames.join(', ') })} />
            )}
          </>
        )}
      </View>
    </View>
  )
}
