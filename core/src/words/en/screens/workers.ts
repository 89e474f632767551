export const noLogIsOpen = 'No log is open';
