import type { Config } from '../../config.ts'
import { checkAddress, InnerAddressError } from '../../connectors/index.ts'
import { Refusal } from '../../problem.ts'

/** An address to which we send must lie outside our own network. @throws Refusal invalid, at the field it stands in */
export function checkOuterAddress(
  { allowedInnerAddresses }: Pick<Config, 'allowedInnerAddresses'>,
  field: string,
  address: string,
): void {
  try {
    checkAddress(new URL(address), allowedInnerAddresses)
  } catch (error) {
    if (!(error instanceof InnerAddressError) && !(error instanceof TypeError)) throw error
    throw new Refusal('invalid', {
      fields: [
        {
          field,
          code: 'innerAddress',
          message: 'This address lies inside our own network. Give one that can be reached from outside.',
          value: address,
        },
      ],
    })
  }
}
