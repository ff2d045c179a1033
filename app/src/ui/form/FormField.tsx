import { Controller, type Control, type FieldPath, type FieldValues } from 'react-hook-form'
import { Field, type FieldProps } from '../Field'

type FormFieldProps<Typed extends FieldValues, Read> = Omit<FieldProps, 'value' | 'onChange' | 'fault' | 'onBlur'> & {
  control: Control<Typed, unknown, Read>
  name: FieldPath<Typed>
  /** Fields that are looked at again when this one changes. */
  deps?: FieldPath<Typed>[]
}

/** A line to type in that belongs to a form: its fault stands under it. */
export function FormField<Typed extends FieldValues, Read>(props: FormFieldProps<Typed, Read>) {
  const { control, name, deps = [], ...rest } = props
  return (
    <Controller
      control={control}
      name={name}
      rules={{ deps }}
      render={({ field, fieldState }) => (
        <Field
          {...rest}
          ref={field.ref}
          value={String(field.value ?? '')}
          onChange={field.onChange}
          onBlur={field.onBlur}
          fault={fieldState.error?.message}
        />
      )}
    />
  )
}
