/** The artwork format as the core reads it (docs/artwork-format.md). Lengths are inches, angles degrees clockwise. */
export interface Artwork {
    format: string;
    title: string;
    product: string;
    side: string;
    method: string;
    rule: string;
    sheet: { width: number; height: number; ppi: number };
    garments: Garment[];
    swatches: Swatch[];
    layers: Layer[];
    distress: Wear[];
    limits?: { letterLost: number; stroke: number };
}

/** A colour of the job by name; lines call it "@name". */
export interface Swatch {
    name: string;
    colour: string;
    share?: number;
}

export interface Garment {
    name: string;
    colour: string;
}

export interface Layer {
    id: string;
    name: string;
    on: boolean;
    role: { kind: 'ink' } | { kind: 'knockout'; gap: number; join: string; from?: string[]; sets?: boolean };
    source: Source;
    placement?: Placement;
    opacity: number;
    blend: string;
    effects: EffectLine[];
    masks: Mask[];
    distress: Wear[];
    repeat?: Repeat;
}

export interface Repeat {
    kind: string;
    x: number;
    y: number;
    count: number;
    facing: string;
    stepX: number;
    stepY: number;
    size: number;
    changed: number;
    as: string;
    colour: string;
    on: boolean;
}

export type Source =
    | { kind: 'text'; text: string; font: string; align: string; leading: number }
    | { kind: 'art'; file: string }
    | { kind: 'shape'; shape: string; count: number; share: number }
    | { kind: 'grid'; columns: number; rows: number; gap: number }
    | { kind: 'group'; layers: Layer[] };

export interface Placement {
    x: number;
    y: number;
    width: number | null;
    height: number | null;
    turn: number;
    flip: string;
}

export interface EffectLine {
    kind: string;
    on: boolean;
    [parameter: string]: number | string | boolean | string[];
}

export interface Stroke {
    points: [number, number][];
    width: number;
    hardness: number;
    restores: boolean;
    symmetry: string;
    count: number;
}

/** What every mask has; the rest goes by its kind. */
export interface Mask {
    kind: string;
    inverted: boolean;
    joining?: string;
    on: boolean;
    x?: number;
    y?: number;
    width?: number;
    height?: number;
    feather?: number;
    count?: number;
    points?: [number, number][];
    strokes?: Stroke[];
    layer?: string;
    file?: string;
}

export interface Wear {
    texture: string;
    amount: number;
    scale: number;
    seed: number;
    inverted: boolean;
    shielded: string[];
    on: boolean;
    file?: string;
    x?: number;
    y?: number;
    turn?: number;
    strokes?: Stroke[];
}

export interface Box {
    left: number;
    top: number;
    width: number;
    height: number;
}

export interface Measure {
    id: string;
    width: number | null;
    height: number | null;
    box: Box | null;
    ppi: number | null;
    trouble: string | null;
}

export interface Area {
    id?: number;
    name: string;
    width: number;
    height: number;
    ppi: number;
}

export interface BenchJob {
    id: number;
    title: string;
    version: number;
    revision: number;
    can_undo: boolean;
    can_redo: boolean;
    area: Area;
    artwork: Artwork;
    measures: Measure[];
}

export interface JobCard {
    id: number;
    title: string;
    revision: number;
    product: string;
    side: string;
    sheet: { width: number; height: number; ppi: number };
    garments: Garment[];
    layers: number;
    state: 'empty' | 'drafted' | 'exported';
    updated_at: string;
}

export interface Parameter {
    name: string;
    kind: 'length' | 'share' | 'number' | 'angle' | 'colour' | 'colours' | 'choice' | 'words' | 'font' | 'picture';
    least: number;
    most: number;
    default: number | string | string[];
    choices: string[];
}

export interface EffectKind {
    kind: string;
    stage: 'retouch' | 'type' | 'letters' | 'geometry' | 'ink' | 'look';
    parameters: Parameter[];
}

export interface Catalogue {
    effects: EffectKind[];
    textures: string[];
    wear: { leastScale: number; mostScale: number };
    repeats: { kinds: string[]; facings: string[]; changes: string[]; most: number };
    masks: string[];
    shapes: string[];
    blends: string[];
    products: string[];
    sides: string[];
    methods: string[];
    rules: { value: string; says: string; least: number }[];
    areas: Area[];
    cloths: Garment[];
}

export interface Finding {
    key: string;
    word: string;
    verdict: 'pass' | 'warn' | 'fail';
    figure: string;
    limit: string;
    says: string;
    where: Box[];
    layers: string[];
    mends: string[];
}

export interface Report {
    revision: number;
    verdict: 'pass' | 'warn' | 'fail';
    findings: Finding[];
}

export interface Asset {
    id: number;
    kind: 'font' | 'art';
    file: string;
    title: string;
    genre: string;
    type: string;
    bytes: number;
    width: number | null;
    height: number | null;
    pack: string;
    cut: string;
    features: string[];
    favourite: boolean;
    licence: { name: string; author: string; url: string };
}

export interface ExportCard {
    id: number;
    job: number;
    revision: number;
    state: 'queued' | 'running' | 'done' | 'failed' | 'cancelling' | 'cancelled';
    stage: string;
    progress: number;
    file: string;
    figures: { width: number; height: number; ppi: number; inches: [number, number]; bytes: number; sha256: string; report: Report } | null;
    trouble: string | null;
    created_at: string;
}

export type Verdict = Finding['verdict'];
