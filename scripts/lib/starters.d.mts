export function startersAreThere(): boolean;
