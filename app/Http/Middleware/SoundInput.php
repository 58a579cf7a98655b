<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpFoundation\Response;

/** Validates all input: UTF-8 text without null bytes, of bounded length, and single values except where a list is expected. */
final class SoundInput
{
    /** Fields that contain lists; each is validated by its own rules. */
    private const LISTS = ['artwork', 'operations', 'garments', 'area', 'scopes', 'facts', 'assets', 'territories', 'columns', 'tags', 'destinations', 'film', 'pieces', 'card', 'corners', 'values', 'changes', 'countries', 'lead', 'ahead', 'keep', 'instead', 'scribbles'];

    /** Greatest length of a text; texts within lists may be longer. */
    private const LONGEST = 20_000;

    /** Fields that contain whole files as text, with their greatest lengths. */
    private const LONG = ['house' => 1_000_000, 'table' => 2_000_000, 'pattern' => 100_000];

    /** @param  Closure(Request): Response  $next */
    public function handle(Request $request, Closure $next): Response
    {
        foreach ([$request->query->all(), $request->isJson() ? $request->json()->all() : $request->request->all()] as $fields) {
            foreach ($fields as $name => $value) {
                $this->check((string) $name, $value);
            }
        }

        return $next($request);
    }

    private function check(string $name, mixed $value): void
    {
        if (is_array($value) && ! in_array($name, self::LISTS, true)) {
            throw ValidationException::withMessages([self::shown($name) => 'This must be a single value.']);
        }
        if (is_string($value) && ! self::isText($value)) {
            throw self::noText($name);
        }
        if (is_string($value) && strlen($value) > (self::LONG[$name] ?? self::LONGEST)) {
            throw ValidationException::withMessages([self::shown($name) => sprintf('This is too long: %s characters at most.', number_format(self::LONG[$name] ?? self::LONGEST))]);
        }
        if (is_array($value)) {
            // Values within a list are bounded by the list's rules, but must be valid text as well.
            array_walk_recursive($value, function (mixed $inner) use ($name): void {
                if (is_string($inner) && ! self::isText($inner)) {
                    throw self::noText($name);
                }
            });
        }
    }

    private static function isText(string $value): bool
    {
        return mb_check_encoding($value, 'UTF-8') && ! str_contains($value, "\0");
    }

    private static function noText(string $name): ValidationException
    {
        return ValidationException::withMessages([self::shown($name) => 'This has bytes in it that are no text. Type it again.']);
    }

    private static function shown(string $name): string
    {
        return mb_check_encoding($name, 'UTF-8') ? mb_substr($name, 0, 40) : 'field';
    }
}
