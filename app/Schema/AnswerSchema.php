<?php

declare(strict_types=1);

namespace App\Schema;

use App\Http\Answers\Answer;
use App\Http\Answers\DescribedAs;

/** Generates a JSON Schema (draft 2020-12) of each API response from the types of its class. */
final class AnswerSchema
{
    /** @return array<string, array<string, mixed>> by name of the answer */
    public static function all(): array
    {
        $schemas = [];
        foreach (glob(app_path('Http/Answers/*.php')) ?: [] as $file) {
            /** @var class-string $class */
            $class = 'App\\Http\\Answers\\'.basename($file, '.php');
            if (is_subclass_of($class, Answer::class)) {
                $schemas[basename($file, '.php')] = self::of($class);
            }
        }
        ksort($schemas);

        return $schemas;
    }

    /**
     * @param  class-string  $class
     * @return array<string, mixed>
     */
    private static function of(string $class): array
    {
        $constructor = (new \ReflectionClass($class))->getConstructor() ?? throw new \LogicException("$class has no constructor.");
        $properties = [];
        foreach ($constructor->getParameters() as $parameter) {
            $type = $parameter->getType() ?? throw new \LogicException("$class::\${$parameter->name} has no type.");
            $described = $parameter->getAttributes(DescribedAs::class)[0] ?? null;
            $properties[$parameter->name] = $described !== null
                ? self::described($described->newInstance())
                : self::type($type, self::told((string) $constructor->getDocComment(), $parameter->name), $class);
        }

        return ['type' => 'object', 'properties' => $properties, 'required' => array_keys($properties), 'additionalProperties' => false];
    }

    /** @return array<string, mixed> */
    private static function described(DescribedAs $as): array
    {
        $one = ['$ref' => '#/$defs/'.$as->definition];

        return $as->isList ? ['type' => 'array', 'items' => $one] : $one;
    }

    /**
     * @param  string  $told  what the docblock says of it: "list<Box>"
     * @return array<string, mixed>
     */
    private static function type(\ReflectionType $type, string $told, string $class): array
    {
        if ($type instanceof \ReflectionUnionType) {
            return ['anyOf' => array_map(fn (\ReflectionType $one): array => self::type($one, (string) preg_replace('/^.*\|(?=list<)/', '', $told), $class), $type->getTypes())];
        }
        assert($type instanceof \ReflectionNamedType);
        $schema = match ($type->getName()) {
            'int' => ['type' => 'integer'],
            'float' => ['type' => 'number'],
            'string' => ['type' => 'string'],
            'bool' => ['type' => 'boolean'],
            'array' => ['type' => 'array', 'items' => self::item($told, $class)],
            default => self::named($type->getName()),
        };

        return $type->allowsNull() ? ['anyOf' => [$schema, ['type' => 'null']]] : $schema;
    }

    /** @return array<string, mixed> */
    private static function item(string $told, string $class): array
    {
        if (preg_match('/^list<(\w+)>$/', $told, $found) !== 1) {
            throw new \LogicException("$class: a list must say of what it is, as list<string>; it says \"$told\".");
        }

        return match ($found[1]) {
            'string' => ['type' => 'string'],
            'float' => ['type' => 'number'],
            'int' => ['type' => 'integer'],
            default => self::named('App\\Http\\Answers\\'.$found[1]),
        };
    }

    /** @return array<string, mixed> */
    private static function named(string $class): array
    {
        if (is_subclass_of($class, \BackedEnum::class)) {
            return ['type' => 'string', 'enum' => array_map(fn (\BackedEnum $case): string => (string) $case->value, $class::cases())];
        }
        if (! is_subclass_of($class, Answer::class)) {
            throw new \LogicException("$class is no answer.");
        }

        return ['$ref' => '#/$defs/'.class_basename($class)];
    }

    private static function told(string $docblock, string $name): string
    {
        return preg_match('/@param\s+(.+?)\s+\$'.$name.'\b/', $docblock, $found) === 1 ? $found[1] : '';
    }
}
