export { BookScreen as default } from '../../book/BookScreen'
