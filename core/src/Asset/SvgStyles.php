<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMElement;

/**
 * The rules of a drawing's style sheets, laid on its elements as attributes by the cascade of CSS 2.1, 6.4: by specificity, then
 * order, and what an element's own style says above all. Selectors are of elements, classes and ids, with descendants and children,
 * as drawing programs write them; rules with others, and those for other media, are passed over.
 */
final class SvgStyles
{
    private const MOST_RULES = 4000;

    /** @var list<array{list<array{string, string, string, list<string>}>, array<string, string>, int}> steps (combinator, element, id, classes), declarations, specificity */
    private array $rules = [];

    /** Whether a rule was passed over. */
    public bool $partly = false;

    public function __construct(string $css)
    {
        $css = (string) preg_replace(['~/\*.*?\*/~s', '~<!--|-->~', '~@(?:import|charset|namespace)[^;]*;~i', '~@[\w-]+[^{}]*\{(?:[^{}]*|\{[^{}]*\})*\}~'], '', $css);
        preg_match_all('~([^{}]+)\{([^{}]*)\}~', $css, $found, PREG_SET_ORDER);
        foreach (array_slice($found, 0, self::MOST_RULES) as [, $selectors, $body]) {
            $declared = self::declarations($body);
            foreach (explode(',', $selectors) as $selector) {
                $this->add(trim($selector), $declared);
            }
        }
        usort($this->rules, fn (array $a, array $b): int => $a[2] <=> $b[2]);
    }

    /** @return array<string, string> what the sheets declare for an element */
    public function of(DOMElement $element): array
    {
        $declared = [];
        foreach ($this->rules as [$steps, $body]) {
            if (self::matches($element, $steps)) {
                $declared = array_merge($declared, $body);
            }
        }

        return $declared;
    }

    /** @return array<string, string> by name */
    public static function declarations(string $body): array
    {
        $declared = [];
        foreach (explode(';', $body) as $rule) {
            [$name, $value] = array_map(trim(...), explode(':', $rule, 2) + ['', '']);
            if ($name !== '' && $value !== '') {
                $declared[strtolower($name)] = trim((string) preg_replace('/\s*!\s*important$/i', '', $value));
            }
        }

        return $declared;
    }

    /** @param  array<string, string>  $declared */
    private function add(string $selector, array $declared): void
    {
        $steps = [];
        $weight = 0;
        preg_match_all('~(^|\s*>\s*|\s+)([^\s>]+)~', $selector, $parts, PREG_SET_ORDER);
        foreach ($parts as [, $combinator, $compound]) {
            if (preg_match('~^(\*|[a-zA-Z][\w-]*)?((?:[.#][\w-]+)*)$~', $compound, $found) !== 1) {
                $this->partly = true;

                return;
            }
            preg_match_all('~([.#])([\w-]+)~', $found[2], $marks, PREG_SET_ORDER);
            $id = '';
            $classes = [];
            foreach ($marks as [, $kind, $name]) {
                $kind === '#' ? $id = $name : $classes[] = $name;
            }
            $element = $found[1] === '*' ? '' : $found[1];
            $weight += 10_000 * ($id === '' ? 0 : 1) + 100 * count($classes) + ($element === '' ? 0 : 1);
            $steps[] = [trim($combinator), $element, $id, $classes];
        }
        if ($steps !== []) {
            $this->rules[] = [$steps, $declared, $weight];
        }
    }

    /** @param  list<array{string, string, string, list<string>}>  $steps */
    private static function matches(DOMElement $element, array $steps): bool
    {
        [$combinator, $name, $id, $classes] = array_pop($steps) ?? ['', '', '', []];
        if (($name !== '' && $element->localName !== $name) || ($id !== '' && $element->getAttribute('id') !== $id)
            || array_diff($classes, preg_split('/\s+/', $element->getAttribute('class')) ?: []) !== []) {
            return false;
        }
        if ($steps === []) {
            return true;
        }
        for ($up = $element->parentNode; $up instanceof DOMElement; $up = $up->parentNode) {
            if (self::matches($up, $steps)) {
                return true;
            }
            if ($combinator === '>') {
                return false;
            }
        }

        return false;
    }
}
