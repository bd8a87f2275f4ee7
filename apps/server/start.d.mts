export declare const SERVER: readonly string[];
