<?php

declare(strict_types=1);

namespace TallCrow\House;

/** Figures of a print file, measured by us or by a house. */
final readonly class FileFigures
{
    /**
     * @param  float  $ppi  at the printed width; 0 if not stated
     * @param  ?bool  $transparent  whether it has an alpha channel; null if not stated
     * @param  string  $colours  such as "sRGB"; empty if not stated
     */
    public function __construct(
        public int $width,
        public int $height,
        public float $ppi,
        public ?bool $transparent,
        public string $colours,
        public int $bytes,
        public string $sha256,
    ) {}

    /** @return array{width: int, height: int, ppi: float, transparent: ?bool, colours: string, bytes: int, sha256: string} */
    public function toArray(): array
    {
        return ['width' => $this->width, 'height' => $this->height, 'ppi' => $this->ppi, 'transparent' => $this->transparent, 'colours' => $this->colours, 'bytes' => $this->bytes, 'sha256' => $this->sha256];
    }

    /** @param  array<array-key, mixed>  $data  untrusted; values of the wrong type become 0 or empty */
    public static function read(array $data): self
    {
        $number = fn (string $key): float => is_numeric($data[$key] ?? null) ? (float) $data[$key] : 0.0;
        $word = fn (string $key): string => is_string($data[$key] ?? null) ? mb_substr($data[$key], 0, 64) : '';

        return new self((int) $number('width'), (int) $number('height'), $number('ppi'), is_bool($data['transparent'] ?? null) ? $data['transparent'] : null, $word('colours'), (int) $number('bytes'), $word('sha256'));
    }
}
