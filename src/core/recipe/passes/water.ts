/** Part of what water can take that has been taken after so many seconds; the pace is by eye, from common practice. */
export const takenAfter = (seconds: number): number => 1 - Math.exp(-seconds / 18);
