export interface RunningCluster {
  readonly port: number;
  urlOf(database: string): string;
  isRunning(): boolean;
  bringBack(): Promise<number>;
  stop(): void;
}
export function startCluster(name: string): Promise<RunningCluster>;
