export declare function run(command: string, args: string[], options?: object): void
export declare function install(): void
export declare function build(): void
