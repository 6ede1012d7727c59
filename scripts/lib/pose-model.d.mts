/** Copies the pose model and its runtime from their packages to public/pose. */
export declare function copyPoseModel(): void;
