export const waitsForTheNetworkAt = 'waits for the network at ';
