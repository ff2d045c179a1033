import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['book'], async () => (await import('../../screens')).FilesScreen)
