import { mkdir, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import type { LabelPrinter } from '../devices'

/** The stand-in that ships: a label comes out as a picture and a PDF in a folder. */
export const simulatedPrinter = (folder: string, nowMs: () => number): LabelPrinter => ({
  print: async ({ name, png, pdf }) => {
    const file = join(
      folder,
      `${new Date(nowMs()).toISOString().replace(/[:.]/g, '-')}-${name.replace(/[^\w-]+/g, '-')}`,
    )
    try {
      await mkdir(folder, { recursive: true })
      await writeFile(`${file}.png`, png)
      await writeFile(`${file}.pdf`, pdf)
      return { kind: 'printed', where: `${file}.pdf` }
    } catch (error) {
      return { kind: 'refused', why: error instanceof Error ? error.message : 'the label could not be written' }
    }
  },
})
