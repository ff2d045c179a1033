export { AddTicketScreen as default } from '../../line/AddTicketScreen'
