/** Texts that this feature shows in several places, so that they are changed in one. */
export const wording = {
  dayOfTheFigures: 'Day of the figures.',
  domainForRowsWithoutOne: 'Domain for rows without one',
  filesToImport: 'Files to import',
  kindOfDataInTheFile: 'Kind of data in the file.',
  nameOfTheFile: 'Name of the file.',
  skipBadRows: 'Skip bad rows',
  skipThisFile: 'Skip this file',
} as const;
