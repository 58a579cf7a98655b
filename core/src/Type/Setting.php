<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** How words are set, before any bending. */
final readonly class Setting
{
    private const EVERY = -1;

    /**
     * @param  array<string, float>  $kerns  kerning between two letters such as "AV", in thousandths of an em
     * @param  list<FontFeature>  $features
     * @param  array<int, LineSetting>  $lines  by line index
     * @param  array<int, array<string, float>>  $axes  places on the font's axes by tag, by line index; at EVERY those of all lines
     */
    public function __construct(
        public Alignment $alignment,
        /** Distance of baselines, in ems. */
        public float $leading,
        /** Letter-spacing, in thousandths of an em. */
        public float $tracking = 0.0,
        public array $kerns = [],
        public LetterCase $case = LetterCase::AsTyped,
        public array $features = [],
        /** Size of the first and the last letter of each line, relative to the others. */
        public float $ends = 1.0,
        public Stand $stand = Stand::Baseline,
        public array $lines = [],
        /** If all lines are fitted to one width: the gap between their ink, as a share of that width; otherwise null. */
        public ?float $block = null,
        public array $axes = [],
    ) {}

    public function withTracking(float $tracking): self
    {
        return $this->with(['tracking' => $tracking]);
    }

    public function withKern(string $pair, float $by): self
    {
        return $this->with(['kerns' => [$pair => ($this->kerns[$pair] ?? 0.0) + $by] + $this->kerns]);
    }

    public function withCase(LetterCase $case): self
    {
        return $this->with(['case' => $case]);
    }

    public function withFeature(FontFeature $feature): self
    {
        return $this->with(['features' => [...$this->features, $feature]]);
    }

    /** Without the features of the letters that are told as another's are. */
    public function withoutFeaturesLike(FontFeature $feature): self
    {
        return $this->with(['features' => array_values(array_filter($this->features, fn (FontFeature $one): bool => ! $one->isForTheSame($feature)))]);
    }

    /** @return list<string> the lines of a text, in the case that is set */
    public function rows(string $text): array
    {
        return array_map($this->case->of(...), explode("\n", str_replace(["\r\n", "\r"], "\n", $text)));
    }

    /**
     * The font of a line at its place on its axes.
     *
     * @param  ?\Closure(string): Font  $named  finds the font of a line that has its own
     *
     * @throws FontRefused
     */
    public function font(int $line, Font $font, ?\Closure $named): Font
    {
        $own = $this->line($line)->font;

        return ($own === null || $named === null ? $font : $named($own))->varied($this->axes($line));
    }

    /**
     * @param  list<Character>  $line  the characters of one line
     * @return list<string> the features of a line in HarfBuzz's notation
     */
    public function features(array $line): array
    {
        // Letter-spacing turns ligatures off, since nothing can be inserted into them (CSS Text 3, §8.2).
        return array_merge($this->tracking == 0.0 ? [] : ['-liga', '-clig'], ...array_map(fn (FontFeature $feature): array => $feature->forLine($line), $this->features));
    }

    public function withEnds(float $size, Stand $stand): self
    {
        return $this->with(['ends' => $size, 'stand' => $stand]);
    }

    public function withLine(int $number, LineSetting $line): self
    {
        return $this->with(['lines' => [$number => $line] + $this->lines]);
    }

    public function withBlock(float $gap): self
    {
        return $this->with(['block' => $gap]);
    }

    /** @param  ?int  $line  null: every line that has no value of its own */
    public function withAxis(?int $line, string $tag, float $value): self
    {
        $line ??= self::EVERY;

        return $this->with(['axes' => [$line => [$tag => $value] + ($this->axes[$line] ?? [])] + $this->axes]);
    }

    /** @return array<string, float> the places of a line's font on its axes, by tag */
    public function axes(int $line): array
    {
        return ($this->axes[$line] ?? []) + ($this->axes[self::EVERY] ?? []);
    }

    public function line(int $number): LineSetting
    {
        return $this->lines[$number] ?? new LineSetting;
    }

    /** @param  array<string, mixed>  $changes */
    private function with(array $changes): self
    {
        // @phpstan-ignore argument.type (its own properties, with the changes applied)
        return new self(...array_merge(get_object_vars($this), $changes));
    }
}
