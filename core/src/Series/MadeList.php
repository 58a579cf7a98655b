<?php

declare(strict_types=1);

namespace TallCrow\Series;

/** Built-in lists of values for one slot. */
enum MadeList: string
{
    case Grades = 'grades';
    case Years = 'years';
    case Numbers = 'numbers';
    case Relations = 'relations';
    case Months = 'months';

    private const MOST = 500;

    /**
     * @param  int  $from  first year or number
     * @return list<string>
     */
    public function values(int $from = 1, int $to = 10): array
    {
        $to = max($from, min($to, $from + self::MOST - 1));

        return match ($this) {
            self::Grades => ['Kindergarten', ...array_map(fn (int $grade): string => "$grade".match (true) {
                $grade === 1 => 'st', $grade === 2 => 'nd', $grade === 3 => 'rd', default => 'th',
            }.' Grade', range(1, 12))],
            self::Years, self::Numbers => array_map(strval(...), range($from, $to)),
            self::Relations => ['Mum', 'Dad', 'Grandma', 'Grandpa', 'Sister', 'Brother', 'Aunt', 'Uncle', 'Daughter', 'Son', 'Cousin', 'Godmother', 'Godfather', 'Bride', 'Groom', 'Twin'],
            self::Months => ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'],
        };
    }

    /**
     * The Cartesian product of rows and values.
     *
     * @param  list<array<string, string>>  $rows
     * @param  list<string>  $values
     * @return list<array<string, string>>
     */
    public static function crossed(array $rows, string $slot, array $values): array
    {
        $all = [];
        foreach ($rows === [] ? [[]] : $rows as $row) {
            foreach ($values as $value) {
                $all[] = [$slot => $value] + $row;
            }
        }

        return array_slice($all, 0, RowTable::MOST_ROWS);
    }
}
