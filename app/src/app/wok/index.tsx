export { WokScreen as default } from '../../wok/WokScreen'
