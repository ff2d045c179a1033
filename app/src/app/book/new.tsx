import { lazyScreen } from '../../ui/lazyScreen'

const EditorScreen = lazyScreen(async () => (await import('../../book/screens')).EditorScreen)

export default function Page() {
  return <EditorScreen id={null} preset={null} />
}
