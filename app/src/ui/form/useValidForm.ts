import { zodResolver } from '@hookform/resolvers/zod'
import { useForm, type DefaultValues, type FieldValues, type UseFormReturn } from 'react-hook-form'
import type { z } from 'zod'
import { useUnsaved } from './leave'

/**
 * A form whose typed values go through a schema: a fault stands beside its field once the field was left or saving was
 * tried, the first one has the focus, and leaving with something unsaved asks first.
 */
export function useValidForm<Typed extends FieldValues, Read>(
  schema: z.ZodType<Read, Typed>,
  defaultValues: NoInfer<DefaultValues<Typed>>,
): UseFormReturn<Typed, unknown, Read> {
  const form = useForm<Typed, unknown, Read>({ resolver: zodResolver(schema), defaultValues, mode: 'onTouched' })
  useUnsaved(form.formState.isDirty)
  return form
}
