export interface RunningCluster {
  readonly port: number;
  urlOf(database: string): string;
  isRunning(): boolean;
  bringBack(): Promise<number>;
  stop(): void;
}
export interface ClusterPlace {
  readonly data: string;
  readonly home: {
    asOwner(program: string, args: readonly string[]): { ok: boolean; output: string };
  };
}
export function clusterOf(name: string): ClusterPlace;
export function startCluster(name: string): Promise<RunningCluster>;
