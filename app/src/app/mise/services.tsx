export { ServicesScreen as default } from '../../mise/services/ServicesScreen'
