export const LOCAL: string;
