/** Marks this process: whatever it starts from now on, and whatever that starts, carries the same mark. */
export declare function markChildren(): string;
/** Processes that carry the mark and are still there after `patience` (ms), as "pid command". */
export declare function leftRunning(mark: string, patience?: number): Promise<string[]>;
