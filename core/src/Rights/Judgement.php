<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** The result for one font or picture of a design, with the reasons, the gravest first. */
final readonly class Judgement
{
    /** @param  list<Reason>  $reasons  without those that only say that something is allowed */
    private function __construct(
        public PrintedFile $file,
        public ?Licence $licence,
        public Ruling $ruling,
        public array $reasons,
    ) {}

    /** @param  list<Reason>  $reasons */
    public static function of(PrintedFile $file, ?Licence $licence, array $reasons): self
    {
        $told = array_values(array_filter($reasons, fn (Reason $reason): bool => $reason->ruling !== Ruling::Allowed));
        $order = Ruling::cases();
        usort($told, fn (Reason $a, Reason $b): int => array_search($b->ruling, $order, true) <=> array_search($a->ruling, $order, true));

        return new self($file, $licence, array_reduce($told, fn (Ruling $ruling, Reason $reason): Ruling => $ruling->worse($reason->ruling), Ruling::Allowed), $told);
    }
}
