export { StylesScreen as default } from '../../book/style/StylesScreen'
