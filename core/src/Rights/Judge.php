<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** Compares the use of one file with the terms of its licence. */
final class Judge
{
    /** A count is reported from this fraction of its limit on. */
    private const NEAR = 0.8;

    /** A licence's end is reported this many days ahead. */
    public const AHEAD = 30;

    public static function rule(Usage $usage, PrintedFile $file, ?Licence $licence, Counts $counts, \DateTimeImmutable $today): Judgement
    {
        if ($licence === null) {
            return Judgement::of($file, null, [new Reason(Ruling::Look, null, 'No licence is recorded for it. Say under what you hold it.')]);
        }

        return Judgement::of($file, $licence, array_values(array_filter([
            self::dated($licence, $today),
            self::needed($licence, FactName::Commercial, 'It may not be used to earn money.', 'Whether it may be used to earn money is not known.'),
            self::printed($licence),
            $file->isFont() ? null : self::lone($licence, $file),
            $file->isFont() ? null : self::changed($licence, $file),
            self::sold($licence, $usage, $counts),
            self::placed($licence, $usage),
            self::credited($licence),
            self::shared($licence),
            $usage->asMark ? self::needed($licence, FactName::TradeMark, 'It may not be part of a logo or trade mark.', 'Whether it may be part of a logo or trade mark is not known.') : null,
            self::seated($licence, $usage),
            ...self::shown($licence),
            $licence->proofs > 0 ? null : new Reason(Ruling::Look, null, 'No proof is kept with the licence: a receipt, the terms, or the text that came with it.'),
        ])));
    }

    private static function needed(Licence $licence, FactName $name, string $no, string $unknown): ?Reason
    {
        $fact = $licence->fact($name);

        return match ($fact->value) {
            'yes' => null,
            'no' => Reason::byFact(Ruling::NotAllowed, $fact, $no),
            default => Reason::byFact(Ruling::Look, $fact, $unknown),
        };
    }

    private static function dated(Licence $licence, \DateTimeImmutable $today): ?Reason
    {
        $day = $today->setTime(0, 0);
        if ($licence->from !== null && $licence->from->setTime(0, 0) > $day) {
            return new Reason(Ruling::NotAllowed, null, sprintf('The licence begins on %s.', $licence->from->format('j F Y')));
        }
        if ($licence->until === null) {
            return null;
        }
        $left = (int) $day->diff($licence->until->setTime(0, 0))->format('%r%a');
        $after = match ($licence->fact(FactName::AfterEnd)->value) {
            'stay' => ' Designs that were listed before may stay on sale.',
            'taken-down' => ' Listed designs must come down then.',
            'no-end' => '',
            default => ' What becomes of listed designs then is not known.',
        };
        if ($left < 0) {
            return Reason::byFact(Ruling::NotAllowed, $licence->fact(FactName::AfterEnd), sprintf('The licence ended on %s: nothing new may be made with it.%s', $licence->until->format('j F Y'), $after));
        }

        return $left > self::AHEAD ? null : Reason::byFact(Ruling::Look, $licence->fact(FactName::AfterEnd), sprintf('The licence ends on %s, in %d %s.%s', $licence->until->format('j F Y'), $left, $left === 1 ? 'day' : 'days', $after));
    }

    private static function printed(Licence $licence): ?Reason
    {
        $fact = $licence->fact(FactName::PrintOnDemand);

        return $fact->value === 'extended-only'
            ? Reason::byFact(Ruling::NotAllowed, $fact, 'Print on demand needs the extended licence. If you hold that one, record it in place of this.')
            : self::needed($licence, FactName::PrintOnDemand, 'It may not be printed on demand.', 'Whether it may be printed on demand is not known.');
    }

    private static function lone(Licence $licence, PrintedFile $file): ?Reason
    {
        return $file->unaltered ? self::needed($licence, FactName::Unaltered, 'It stands alone as it came, and may be printed only as part of a new design.', 'It stands alone as it came; whether that is allowed is not known.') : null;
    }

    private static function changed(Licence $licence, PrintedFile $file): ?Reason
    {
        return $file->unaltered ? null : self::needed($licence, FactName::Changed, 'It may not be changed, and here it is cut, coloured, worn or joined with other art.', 'It is changed here; whether that is allowed is not known.');
    }

    private static function sold(Licence $licence, Usage $usage, Counts $counts): ?Reason
    {
        $fact = $licence->fact(FactName::Sales);
        if ($fact->isUnknown()) {
            return Reason::byFact(Ruling::Look, $fact, 'Whether the number of sales is limited is not known.');
        }
        if ($fact->number === null) {
            return null;
        }
        $sold = $counts->against($fact);
        $of = sprintf('%d of %d sales are used', $sold, $fact->number);

        return match (true) {
            $sold >= $fact->number => Reason::byFact(Ruling::NotAllowed, $fact, "$of: the limit is reached."),
            $sold >= self::NEAR * $fact->number => Reason::byFact(Ruling::Look, $fact, "$of: the limit is near."),
            $sold + $usage->units > $fact->number => Reason::byFact(Ruling::Look, $fact, sprintf('%s, and %d more are expected of this design: that goes over the limit.', $of, $usage->units)),
            default => null,
        };
    }

    private static function placed(Licence $licence, Usage $usage): ?Reason
    {
        $fact = $licence->fact(FactName::Territory);
        if ($fact->value !== 'named') {
            return $fact->isUnknown() ? Reason::byFact(Ruling::Look, $fact, 'Where in the world it may be sold is not known.') : null;
        }
        $named = array_map(self::place(...), explode(',', $fact->text));
        if ($usage->territories === []) {
            return Reason::byFact(Ruling::NotAllowed, $fact, sprintf('It may be sold in %s only, and the brief names no countries: that is everywhere.', $fact->text));
        }
        $beyond = array_values(array_filter($usage->territories, fn (string $place): bool => ! in_array(self::place($place), $named, true)));

        return $beyond === [] ? null : Reason::byFact(Ruling::NotAllowed, $fact, sprintf('It may be sold in %s only, not in %s.', $fact->text, implode(', ', $beyond)));
    }

    private static function credited(Licence $licence): ?Reason
    {
        $fact = $licence->fact(FactName::Credit);

        return match ($fact->value) {
            'no' => null,
            'required' => Reason::byFact(Ruling::Duties, $fact, 'Credit is due'.($fact->text === '' ? '.' : ": $fact->text.")),
            default => Reason::byFact(Ruling::Look, $fact, 'Whether somebody must be named is not known.'),
        };
    }

    private static function shared(Licence $licence): ?Reason
    {
        $fact = $licence->fact(FactName::ShareAlike);

        return match ($fact->value) {
            'no' => null,
            'yes' => Reason::byFact(Ruling::Duties, $fact, 'The design made with it must be under the same licence.'),
            default => Reason::byFact(Ruling::Look, $fact, 'Whether the design must be under the same licence is not known.'),
        };
    }

    private static function seated(Licence $licence, Usage $usage): ?Reason
    {
        return match (true) {
            $licence->seats === null || $licence->seats >= $usage->seats => null,
            default => new Reason(Ruling::NotAllowed, null, sprintf('%d %s may work with it; the brief names %d.', $licence->seats, $licence->seats === 1 ? 'person' : 'people', $usage->seats)),
        };
    }

    /** @return list<Reason> about what a picture shows and how it was made */
    private static function shown(Licence $licence): array
    {
        [$generated, $person, $release] = [$licence->fact(FactName::Generated), $licence->fact(FactName::Person), $licence->fact(FactName::Release)];
        $reasons = $generated->value === 'yes' ? [Reason::byFact(Ruling::Look, $generated, 'It was made by a generator. Some markets want that told, and others may use the like: look at the rules of yours.')] : [];
        if ($person->value === 'yes' && $release->value !== 'yes') {
            $reasons[] = Reason::byFact($release->value === 'no' ? Ruling::NotAllowed : Ruling::Look, $release, 'It shows a person or somebody\'s property, and no written consent is recorded.');
        }

        return $reasons;
    }

    private static function place(string $name): string
    {
        return mb_strtolower(trim($name));
    }
}
