export { brandSetUp, changeBrand } from './brandSetUp.ts'
export { oweAnew } from './oweAnew.ts'
export { addPlace, changePlace, listPlaces, removePlace } from './places.ts'
