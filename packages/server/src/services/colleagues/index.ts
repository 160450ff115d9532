export { changeColleague, leaveBrand, listColleagues } from './colleagues.ts'
export { invitationCard, invite, joinBrand, takeBackInvitation } from './invitations.ts'
export {
  beginSecondFactor,
  confirmSecondFactor,
  endSecondFactor,
  liftSecondFactor,
  ownSecondFactor,
  renewRecoveryCodes,
} from './secondFactor.ts'
export { changePassword, endSession, forgotPassword, listSessions, resetPassword } from './passwords.ts'
