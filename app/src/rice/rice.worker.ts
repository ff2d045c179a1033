import { workRice, type RiceWork } from './riceWork'

onmessage = ({ data }: MessageEvent<{ id: number; work: RiceWork }>) => {
  try {
    postMessage({ id: data.id, worked: workRice(data.work) })
  } catch (error) {
    postMessage({ id: data.id, fault: error instanceof Error ? error.message : 'it cannot be worked out' })
  }
}
