import { lazyScreen } from '../../ui/lazyScreen'

export default lazyScreen([], async () => (await import('../../screens')).AddTicketScreen)
