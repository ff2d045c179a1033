import type { TracePoint } from 'core/wok/whatIf/trace'
import { download } from '../../device/download'
import { tableCsv } from '../../ui/table/tableCsv'

const COLUMNS = ['curve', 'second', 'pan C', 'rice C', 'free water %', 'crust %', 'frying'] as const

/** The curves of a comparison as CSV, one line a point. */
export function curvesCsv(curves: readonly { name: string; trace: readonly TracePoint[] }[]): string {
  const share = (fraction: number | null) => (fraction === null ? '' : (fraction * 100).toFixed(2))
  const rows = curves.flatMap(({ name, trace }) =>
    trace.map(({ atS, metalC, riceC, freeFraction, crust, isFrying }) => [
      name,
      atS.toFixed(0),
      metalC.toFixed(1),
      riceC === null ? '' : riceC.toFixed(1),
      share(freeFraction),
      share(crust),
      isFrying ? '1' : '0',
    ]),
  )
  return tableCsv(COLUMNS, rows)
}

export const downloadCsv = (csv: string, fileName: string) =>
  download(`data:text/csv;charset=utf-8,${encodeURIComponent(csv)}`, fileName)

const SCALE = 2
const GAP_PX = 16

/** Drawings of the page, side by side, as one PNG. A drawing alone does not know the page's colours: they are written in. */
export async function downloadPng(ids: readonly string[], fileName: string): Promise<void> {
  const drawings = ids.flatMap((id) => {
    const drawing = document.getElementById(id)
    return drawing instanceof SVGSVGElement ? [drawing] : []
  })
  const pictures = await Promise.all(drawings.map(pictureOf))
  const canvas = document.createElement('canvas')
  canvas.width = SCALE * pictures.reduce((sum, { width }) => sum + width + GAP_PX, GAP_PX)
  canvas.height = SCALE * (Math.max(0, ...pictures.map(({ height }) => height)) + 2 * GAP_PX)
  const context = canvas.getContext('2d')
  if (!context) return
  context.fillStyle = `rgb(${getComputedStyle(document.documentElement).getPropertyValue('--ground')})`
  context.fillRect(0, 0, canvas.width, canvas.height)
  let x = GAP_PX
  for (const { picture, width, height } of pictures) {
    context.drawImage(picture, SCALE * x, SCALE * GAP_PX, SCALE * width, SCALE * height)
    x += width + GAP_PX
  }
  download(canvas.toDataURL('image/png'), fileName)
}

async function pictureOf(
  drawing: SVGSVGElement,
): Promise<{ picture: HTMLImageElement; width: number; height: number }> {
  const { width, height } = drawing.getBoundingClientRect()
  const style = getComputedStyle(document.documentElement)
  const source = new XMLSerializer()
    .serializeToString(drawing)
    .replace(/var\((--[a-z-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim())
  const picture = new Image()
  picture.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(source)}`
  await picture.decode()
  return { picture, width, height }
}
