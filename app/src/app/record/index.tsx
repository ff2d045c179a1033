import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen(['record'], async () => (await import('../../screens')).RecordScreen)
