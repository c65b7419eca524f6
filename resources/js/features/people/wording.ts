/** Texts that this feature shows in several places, so that they are changed in one. */
export const wording = {
  administratorFullAccessToAllStudiesAndAccounts: 'Administrator: full access to all studies and accounts',
  canCreateStudies: 'Can create studies',
  inviteAPerson: 'Invite a person',
} as const;
