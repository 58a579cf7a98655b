<?php

declare(strict_types=1);

namespace TallCrow\Type;

/** A character as a reader sees it, with the marks that it bears (an extended grapheme cluster, UAX #29), and where it stands. Spaces are none. */
final readonly class Character
{
    private function __construct(
        public string $text,
        /** Its number among those of all lines, from 1. */
        public int $number,
        /** Index of its line. */
        public int $line,
        /** Its first byte in the line. */
        public int $start,
        public bool $isFirstOfLine,
        public bool $isLastOfLine,
        public bool $isFirstOfWord,
        public bool $isLastOfWord,
    ) {}

    /** The byte behind it. */
    public function end(): int
    {
        return $this->start + strlen($this->text);
    }

    /**
     * @param  list<string>  $lines
     * @return list<self>
     */
    public static function ofLines(array $lines): array
    {
        $characters = [];
        foreach ($lines as $number => $line) {
            preg_match_all('/\X/u', $line, $found, PREG_OFFSET_CAPTURE);
            $spaced = array_map(fn (array $one): bool => trim($one[0]) === '' || preg_match('/^\s+$/u', $one[0]) === 1, $found[0]);
            $inked = array_keys($spaced, false, true);
            foreach ($inked as $i) {
                $characters[] = new self(
                    $found[0][$i][0], count($characters) + 1, $number, $found[0][$i][1],
                    $i === $inked[0], $i === $inked[count($inked) - 1], $spaced[$i - 1] ?? true, $spaced[$i + 1] ?? true,
                );
            }
        }

        return $characters;
    }
}
