import { lazyScreen } from '../../ui/lazyScreen'

const EditorScreen = lazyScreen(['book'], async () => (await import('../../screens')).EditorScreen)

export default function Page() {
  return <EditorScreen id={null} preset={null} />
}
