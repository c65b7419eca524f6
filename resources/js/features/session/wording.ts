/** Texts that this feature shows in several places, so that they are changed in one. */
export const wording = {
  changePassword: 'Change password',
  signinAndSecurity: 'Sign-in and security',
  tokensForScripts: 'Tokens for scripts',
  yourSessions: 'Your sessions',
} as const;
