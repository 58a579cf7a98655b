<?php

declare(strict_types=1);

namespace App\Rights;

/** A sales report that cannot be read. */
final class SalesRefused extends \DomainException
{
    public static function noTable(): self
    {
        return new self('This is no table: send a CSV file with a row of headings and a row for each sale.');
    }

    public static function tooLong(int $most): self
    {
        return new self(sprintf('The report has more than %d rows. Send it in parts.', $most));
    }

    /** @param  list<string>  $headings */
    public static function column(string $what, array $headings): self
    {
        return new self(sprintf('Which column has the %s? The file has: %s.', $what, implode(', ', $headings)));
    }
}
