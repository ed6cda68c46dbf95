import type { Weakness } from '#server/accounts/passwords'

/** What is wrong with a request about an account, and how to mend it. */
const fault = (path: string, code: string, message: string) => ({ path, code, message })

export const NAME_TAKEN = fault('name', 'taken', 'Somebody here goes by that name. Take another.')
export const NAME_MISSING = fault('name', 'any.required', 'The name is missing.')
export const WEAK: Readonly<Record<Weakness, ReturnType<typeof fault>>> = {
  'breached': fault(
    'password',
    'breached',
    'That password is known from breaches. Take another, a few words in a row.',
  ),
  'like-name': fault('password', 'like-name', 'The password holds the name. Take another.'),
  'repeated': fault('password', 'repeated', 'The password repeats a few characters. Take another.'),
}
export const WRONG_CURRENT = fault('current', 'wrong', 'That is not the password so far.')
export const WRONG_PASSWORD = fault('', 'wrong', 'No such name and password. Check both.')
export const PASSKEY_REFUSED = fault('response', 'refused', 'The passkey is not what was asked for. Try again.')
export const PASSKEY_UNKNOWN = fault('response', 'unknown', 'That passkey is not known here. Try another way in.')
export const LAST_WAY = fault(
  '',
  'last-way',
  'Nothing else would be left to sign in by. Add a passkey, a password or a code first.',
)
export const NO_DEVICE = fault('id', 'unknown', 'No such device is signed in.')
export const NO_ACCOUNT = fault('', 'no-account', 'This needs a name. Make a passkey or a password first.')
export const UNDONE = fault('undo', 'gone', 'It can no longer be brought back.')
export const INVITATION_GONE = fault('token', 'gone', 'That invitation was used, taken back or has run out.')
export const NOT_OF_CREW = fault('id', 'unknown', 'Nobody of your crew goes by that id.')
