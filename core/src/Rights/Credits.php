<?php

declare(strict_types=1);

namespace TallCrow\Rights;

/** Composes the attribution text for a listing. */
final class Credits
{
    /** @param  list<array{title: string, author: string, url: string, judgement: Judgement}>  $pieces */
    public static function text(array $pieces): string
    {
        $lines = [];
        foreach ($pieces as $one) {
            $licence = $one['judgement']->licence;
            $credit = $licence?->fact(FactName::Credit);
            if ($licence === null || $credit === null || $credit->value !== 'required') {
                continue;
            }
            $changed = $one['judgement']->file->unaltered || $one['judgement']->file->isFont() ? '' : '; changed';
            $by = rtrim($one['author'] !== '' ? $one['author'] : $licence->licensor, '. ');
            // A copyright notice is repeated verbatim.
            $by = match (true) {
                $by === '' => '',
                preg_match('/^(copyright|©|\(c\))/iu', $by) === 1 => ", $by",
                default => " by $by",
            };
            $lines[] = sprintf('"%s"%s%s, %s%s%s.', $one['title'], $by, $one['url'] === '' ? '' : " ({$one['url']})", $licence->name, $licence->source === '' ? '' : " ($licence->source)", $changed);
        }

        return implode("\n", array_values(array_unique($lines)));
    }
}
