<?php

declare(strict_types=1);

namespace TallCrow\Asset;

use DOMDocument;
use DOMElement;

/** An SVG file as a tree. Entities that stand for plain text, as older drawing programs write them, are put in; any other is refused. */
final class SvgSource
{
    private const MOST_ENTITIES = 100;

    private const MOST_BYTES = 16_000_000;

    /** @throws PictureRefused */
    public static function read(string $svg): DOMElement
    {
        $document = new DOMDocument;
        $before = libxml_use_internal_errors(true);
        $loaded = $document->loadXML(self::withoutDoctype($svg), LIBXML_NONET | LIBXML_NOCDATA);
        $error = libxml_get_last_error();
        libxml_clear_errors();
        libxml_use_internal_errors($before);
        $root = $document->documentElement;
        if (! $loaded || $root === null || $root->localName !== 'svg') {
            throw PictureRefused::drawing($error === false ? 'it has no svg element.' : sprintf('line %d: %s', $error->line, trim($error->message)));
        }

        return $root;
    }

    private static function withoutDoctype(string $svg): string
    {
        if (preg_match('/<!DOCTYPE\s+[^\[>]*(?:\[(.*?)\]\s*)?>/is', $svg, $found, PREG_OFFSET_CAPTURE) !== 1) {
            return str_contains($svg, '<!ENTITY') ? throw self::refused() : $svg;
        }
        $entities = self::entities($found[1][0] ?? '');
        $rest = substr_replace($svg, '', $found[0][1], strlen($found[0][0]));
        if (stripos($rest, '<!DOCTYPE') !== false || stripos($rest, '<!ENTITY') !== false) {
            throw self::refused();
        }
        // Values hold no entities of their own, so nothing grows by more than it says.
        $whole = strtr($rest, $entities);
        if (strlen($whole) > self::MOST_BYTES) {
            throw self::refused();
        }

        return $whole;
    }

    /** @return array<string, string> text by `&name;` */
    private static function entities(string $subset): array
    {
        $subset = (string) preg_replace('/<!--.*?-->/s', '', $subset);
        preg_match_all('/<!ENTITY\s+([\w.:-]+)\s+(?:"([^"]*)"|\'([^\']*)\')\s*>/', $subset, $found, PREG_SET_ORDER);
        $rest = (string) preg_replace(['/<!ENTITY\s+[\w.:-]+\s+(?:"[^"]*"|\'[^\']*\')\s*>/', '/<!ATTLIST\s[^>]*>/', '/<!ELEMENT\s[^>]*>/'], '', $subset);
        if (trim($rest) !== '' || count($found) > self::MOST_ENTITIES) {
            throw self::refused();
        }
        $entities = [];
        foreach ($found as $one) {
            $value = ($one[2] ?? '').($one[3] ?? '');
            if (preg_match('/[&<>%]/', $value) === 1) {
                throw self::refused();
            }
            $entities["&{$one[1]};"] = $value;
        }

        return $entities;
    }

    private static function refused(): PictureRefused
    {
        return PictureRefused::drawing('it declares entities that are more than plain text, which can hide anything. Save it again as plain SVG.');
    }
}
