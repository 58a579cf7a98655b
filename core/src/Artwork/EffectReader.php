<?php

declare(strict_types=1);

namespace TallCrow\Artwork;

use TallCrow\Colour\Swatch;
use TallCrow\Cutout\Scribble;
use TallCrow\Effect\Catalogue;
use TallCrow\Effect\Parameter;
use TallCrow\Effect\ParameterKind;
use TallCrow\Effect\Values;

/**
 * The part of the reader for effects and the swatches to which they refer.
 *
 * @internal
 */
final readonly class EffectReader
{
    /** How far a point drawn over a picture may lie outside it, as a fraction of the picture's size. */
    private const REACH = 3.0;

    /** @param  array<string, string>  $swatches  hex by name */
    private function __construct(private array $swatches, private bool $areKnown) {}

    /** @param  list<Swatch>  $swatches  to which effects may refer */
    public static function of(array $swatches): self
    {
        $byName = [];
        foreach ($swatches as $swatch) {
            $byName[$swatch->name] = $swatch->colour->toHex();
        }

        return new self($byName, true);
    }

    /** For an effect whose sheet is not known yet: its swatches are checked when it is added to a sheet. */
    public static function ofAnySwatch(): self
    {
        return new self([], false);
    }

    public function line(Reading $node): EffectLine
    {
        $classes = Catalogue::classes();
        $kind = $node->word('kind', array_keys($classes));
        $parameters = $classes[$kind]::parameters();
        $node->knows('kind', 'on', ...array_map(fn (Parameter $parameter): string => $parameter->name, $parameters));
        $values = $named = [];
        foreach ($parameters as $parameter) {
            if ($parameter->kind === ParameterKind::Scribbles) {
                $drawn = array_map(self::scribble(...), $node->items($parameter->name, (int) $parameter->most));
                $values += $drawn === [] ? [] : [$parameter->name => $drawn];

                continue;
            }
            $values[$parameter->name] = self::value($node, $parameter);
            if ($parameter->kind->isColour()) {
                $named += $this->named((array) $values[$parameter->name], $node, $parameter->name);
            }
        }

        return new EffectLine($kind, new Values($values, $named), $node->flag('on', true));
    }

    public static function scribble(Reading $node): Scribble
    {
        $node->knows('points', 'width', 'keeps');

        return new Scribble($node->points('points', Scribble::MOST_POINTS, self::REACH), $node->number('width', 0, 1, 0.03), $node->flag('keeps', true));
    }

    /** @return float|string|list<string> */
    private static function value(Reading $node, Parameter $parameter): float|string|array
    {
        $name = $parameter->name;
        $default = is_array($parameter->default) ? '' : (string) $parameter->default;

        return match ($parameter->kind) {
            ParameterKind::Colour => $node->inkColour($name, $default),
            ParameterKind::Colours => $node->inkColours($name, (int) $parameter->least, (int) $parameter->most, is_array($parameter->default) ? $parameter->default : []),
            ParameterKind::Choice => $node->word($name, $parameter->choices, $default),
            ParameterKind::Words => $node->text($name, (int) $parameter->most, $default),
            ParameterKind::Font, ParameterKind::Picture => $node->asset($name, ''),
            default => $node->number($name, $parameter->least, $parameter->most, (float) $default),
        };
    }

    /**
     * @param  array<array-key, mixed>  $colours
     * @return array<string, string> hex by name, of the swatches among them
     */
    private function named(array $colours, Reading $node, string $key): array
    {
        $named = [];
        foreach ($colours as $colour) {
            if (is_string($colour) && str_starts_with($colour, Values::SWATCH)) {
                $name = substr($colour, 1);
                if ($this->areKnown && ! array_key_exists($name, $this->swatches)) {
                    $node->fault(sprintf('names the swatch "%s", which the job does not have', $name), $key);
                }
                $named[$name] = $this->swatches[$name] ?? '#000000';
            }
        }

        return $named;
    }
}
