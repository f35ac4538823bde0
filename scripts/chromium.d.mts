export declare const CHROMIUM: string
export declare function installChromium(): void
export declare function installPdfReader(): void
