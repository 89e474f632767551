/** Whose drafts are read and kept: several people may sign in on one device. */
let owner = '';
export const setDraftOwner = (memberId: string): void => {
  owner = memberId;
};

/** Where a draft lies on this device. */
export const draftKey = (name: string): string => `white-ember draft ${owner} ${name}`;
