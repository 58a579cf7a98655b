<?php

declare(strict_types=1);

namespace PrintHouse;

/** A place of a product, as the house's own list has it. */
final readonly class Place
{
    /** @param  array<string, mixed>  $row */
    private function __construct(
        public string $product,
        public string $place,
        public float $inches,
        public float $ppi,
        public float $least,
        public string $kind,
        public ?float $mostMegabytes,
        public array $row,
    ) {}

    /** @return array<string, array{name: string, token: string, places: list<self>}> by slug */
    public static function houses(string $folder): array
    {
        $all = [];
        foreach (glob("$folder/*.json") ?: [] as $file) {
            /** @var array{name: string, places: list<array<string, mixed>>} $data */
            $data = json_decode((string) file_get_contents($file), true, 32, JSON_THROW_ON_ERROR);
            $slug = basename($file, '.json');
            // The careful printer asks who comes; the others take files from anybody.
            $all[$slug] = ['name' => $data['name'], 'token' => $slug === 'mill-lane-print' ? 'lantern-and-rook' : '', 'places' => array_map(self::read(...), $data['places'])];
        }

        return $all;
    }

    /** @param  array<string, mixed>  $row */
    private static function read(array $row): self
    {
        /** @var array{product: string, place: string, area: array{width: int, height: int, ppi: float}, least?: float, kind?: string, mostMegabytes?: ?float} $row */
        return new self($row['product'], $row['place'], $row['area']['width'] / $row['area']['ppi'], $row['area']['ppi'], $row['least'] ?? 200.0, $row['kind'] ?? 'png', $row['mostMegabytes'] ?? null, $row);
    }

    /**
     * Why the house does not print a file; none where it does.
     *
     * @return list<string>
     */
    public function refuses(Measured $file): array
    {
        $ppi = $file->width / $this->inches;

        return array_values(array_filter([
            $file->kind === $this->kind ? '' : sprintf('%s is wanted here; this is %s.', strtoupper($this->kind), strtoupper($file->kind)),
            $ppi + 0.5 >= $this->least ? '' : sprintf('It prints at %d ppi; %d is the least.', (int) floor($ppi), (int) ceil($this->least)),
            $file->transparent || $this->kind === 'pdf' ? '' : 'It has no transparency: the cloth would be covered by a rectangle.',
            $file->colours === 'sRGB' || $this->kind === 'pdf' ? '' : sprintf('Its colours are %s; sRGB is wanted.', $file->colours),
            $this->mostMegabytes === null || $file->bytes <= $this->mostMegabytes * 1_000_000 ? '' : sprintf('It has %.2f MB; %.2f are the most.', $file->bytes / 1e6, $this->mostMegabytes),
        ], fn (string $reason): bool => $reason !== ''));
    }
}
