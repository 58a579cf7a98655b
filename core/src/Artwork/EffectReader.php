<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Swatch;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\ParameterKind;
use TallCrow\Effect\Values;

/**
 * The part of the reader that knows effects and the swatches that they name.
 *
 * @internal
 */
final readonly class EffectReader
{
    /** @var array<string, string> hex by name */
    private array $swatches;

    /** @param  list<Swatch>  $swatches */
    public function __construct(array $swatches)
    {
        $byName = [];
        foreach ($swatches as $swatch) {
            $byName[$swatch->name] = $swatch->colour->toHex();
        }
        $this->swatches = $byName;
    }

    public function line(Node $node): EffectLine
    {
        $classes = Catalogue::classes();
        $kind = $node->word('kind', array_keys($classes));
        $parameters = $classes[$kind]::parameters();
        $node->knows('kind', 'on', ...array_map(fn (Parameter $parameter): string => $parameter->name, $parameters));
        $values = $named = [];
        foreach ($parameters as $parameter) {
            $values[$parameter->name] = $this->value($node, $parameter, $named);
        }

        return new EffectLine($kind, new Values($values, $named), $node->flag('on', true));
    }

    /**
     * @param  array<string, string>  $named
     * @return float|string|list<string>
     */
    private function value(Node $node, Parameter $parameter, array &$named): float|string|array
    {
        $name = $parameter->name;
        $default = is_array($parameter->default) ? '' : (string) $parameter->default;

        return match ($parameter->kind) {
            ParameterKind::Colour => $this->colour($node->isText($name) ? $node->text($name, 61) : $node->colour($name, $default)->toHex(), $node, $name, $named),
            ParameterKind::Colours => $this->colours($node, $parameter, $named),
            ParameterKind::Choice => $node->word($name, $parameter->choices, $default),
            ParameterKind::Words => $node->text($name, (int) $parameter->most, $default),
            ParameterKind::Font, ParameterKind::Picture => $node->asset($name, ''),
            default => $node->number($name, $parameter->least, $parameter->most, (float) $default),
        };
    }

    /**
     * @param  array<string, string>  $named
     * @return list<string>
     */
    private function colours(Node $node, Parameter $parameter, array &$named): array
    {
        $given = $node->has($parameter->name) ? $node->texts($parameter->name, (int) $parameter->most, 61) : (array) $parameter->default;
        if (count($given) < $parameter->least) {
            $node->fault(sprintf('has %d colours; %d is the least', count($given), $parameter->least), $parameter->name);
        }
        $colours = [];
        foreach ($given as $colour) {
            $colours[] = $this->colour((string) $colour, $node, $parameter->name, $named);
        }

        return $colours;
    }

    /** @param  array<string, string>  $named */
    private function colour(string $text, Node $node, string $key, array &$named): string
    {
        if (! str_starts_with($text, Values::SWATCH)) {
            return $node->readColour($text, $key)->toHex();
        }
        $name = substr($text, 1);
        if (! array_key_exists($name, $this->swatches)) {
            $node->fault(sprintf('names the swatch "%s", which the job does not have', $name), $key);
        }
        $named[$name] = $this->swatches[$name] ?? '#000000';

        return $text;
    }
}
