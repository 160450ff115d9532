export { contactWish, type ContactWish } from './contactWish.ts'
export { joinParts, missingPiece, type TextPiece } from './joinParts.ts'
export { countText, splitText, type TextCount, type TextEncoding } from './textParts.ts'
