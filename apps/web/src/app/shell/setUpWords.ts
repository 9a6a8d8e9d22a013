/** The words of the shell about which set-up is shown, which the first view does without. */
export const SET_UP_WORDS = {
  setUps: 'Set-ups',
  snapshots: 'Snapshots',
  moments: 'Compare moments',
  files: 'Files out and in',
  demoAgain: 'Start from the demo again',
  allSetUps: 'All set-ups…',
  lookingBack: 'Looking back',
  asItWas: (moment: string, edit: number) => `The set-up as it was on ${moment} (edit no. ${edit}).`,
  asItBegan: 'The set-up as it began.',
  onlyToLook: 'To look at and to try: nothing can be changed here.',
  goBackToThis: 'Go back to this',
  backToNow: 'Back to now',
  inBinRegion: 'In the bin',
  inBin: (moment: string) => `This set-up is in the bin. It goes for good on ${moment}.`,
  takeOut: 'Take it out',
} as const;
