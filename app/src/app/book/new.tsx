import { EditorScreen } from '../../book/editor/EditorScreen'

export default function Page() {
  return <EditorScreen id={null} preset={null} />
}
