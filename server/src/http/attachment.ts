/** Headers of a file that the browser saves under a name. */
export const attachment = (type: string, name: string) => ({
  'content-type': type,
  'content-disposition': `attachment; filename="${name}"`,
})

export const csvAttachment = (name: string) => attachment('text/csv; charset=utf-8', name)
