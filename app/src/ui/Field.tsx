import { useId, type Ref } from 'react'
import { TextInput, View, type TextInputProps } from 'react-native'
import { Text } from './Text'

export type FieldProps = {
  ref?: Ref<TextInput> | undefined
  label: string
  value: string
  onChange: (text: string) => void
  /** What is wrong and what would be right; shown under it. */
  fault?: string | undefined
  hint?: string
  /** The label is heard, not seen: in a row whose column has a heading. */
  isBare?: boolean
  isMany?: boolean
  maxLength?: number
  className?: string
} & Pick<TextInputProps, 'onBlur' | 'onFocus' | 'inputMode' | 'autoFocus'>

/** A line, or several, to type in. */
export function Field(props: FieldProps) {
  const {
    label,
    value,
    onChange,
    fault,
    hint,
    isBare = false,
    isMany = false,
    maxLength = 200,
    className = '',
    ...rest
  } = props
  const id = useId()
  return (
    <View className={`gap-1 ${className}`}>
      {!isBare && (
        <Text nativeID={id} size="small" tone="ash">
          {label}
        </Text>
      )}
      <TextInput
        {...rest}
        {...(isBare ? { 'aria-label': label } : { 'aria-labelledby': id })}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${id}-fault`}
        value={value}
        maxLength={maxLength}
        placeholder={hint}
        multiline={isMany}
        numberOfLines={isMany ? 8 : 1}
        onChangeText={onChange}
        className={`ring-focus min-h-14 w-full rounded-lg border border-line bg-ground px-2.5 font-sans text-step text-rice ${isMany ? 'py-2' : ''}`}
      />
      <FieldFault id={`${id}-fault`} fault={fault} />
    </View>
  )
}

/** What is wrong with a field, said beside it. */
export function FieldFault({ fault, id }: { fault: string | undefined; id?: string }) {
  if (fault === undefined) return null
  return (
    <Text role="alert" {...(id !== undefined && { nativeID: id })} weight="bold" size="small">
      {fault}
    </Text>
  )
}
