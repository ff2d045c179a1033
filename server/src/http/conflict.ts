import { Problem } from './problems'

export const editedMeanwhile = () =>
  new Problem('edited-meanwhile', {
    detail: 'somebody else changed this meanwhile: read it again, look at what changed, then choose',
  })

export const nameTaken = (name: string) =>
  new Problem('name-taken', { detail: `there is already a ${name}: choose another name`, values: { name } })
