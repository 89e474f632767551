export const english = 'English';
export const deutsch = 'Deutsch';
export const close = 'Close';
