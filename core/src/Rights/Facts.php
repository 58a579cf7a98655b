<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** All facts of a licence; facts that are not stated are unknown. */
final readonly class Facts
{
    /** @param  array<string, Fact>  $facts  the stated facts by name */
    private function __construct(private array $facts) {}

    public static function none(): self
    {
        return new self([]);
    }

    public static function of(Fact ...$facts): self
    {
        return new self(array_combine(array_map(fn (Fact $fact): string => $fact->name->value, $facts), $facts));
    }

    /**
     * @param  array<mixed>  $data  by the fact's name, as written by toArray()
     *
     * @throws LicenceRefused
     */
    public static function read(array $data): self
    {
        $facts = [];
        foreach ($data as $name => $one) {
            $known = FactName::tryFrom((string) $name) ?? throw LicenceRefused::fact((string) $name);
            $one = is_array($one) ? $one : [];
            $word = fn (string $key): string => is_string($one[$key] ?? null) ? $one[$key] : '';
            $number = is_int($one['number'] ?? null) ? $one['number'] : null;
            $fact = Fact::of($known, $word('value') === '' ? FactName::UNKNOWN : $word('value'), $number, $word('text'), $word('clause'), $word('quote'));
            if (! $fact->isUnknown()) {
                $facts[] = $fact;
            }
        }

        return self::of(...$facts);
    }

    public function fact(FactName $name): Fact
    {
        return $this->facts[$name->value] ?? Fact::unknown($name);
    }

    /** @return list<Fact> in a fixed order, including unknown facts */
    public function all(): array
    {
        return array_map($this->fact(...), FactName::cases());
    }

    /** @return array<string, array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(fn (Fact $fact): array => $fact->toArray(), $this->facts);
    }
}
