export { LineScreen as default } from '../../line/LineScreen'
