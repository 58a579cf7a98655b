<?php

declare(strict_types=1);

namespace TallCrow\Cli;

/** Parsed command-line arguments: a command, one operand, options with a value and flags without one. */
final readonly class Arguments
{
    /**
     * @param  array<string, list<string>>  $options
     * @param  list<string>  $flags
     */
    private function __construct(
        public string $command,
        private ?string $operand,
        private array $options,
        private array $flags,
    ) {}

    /**
     * @param  list<string>  $words
     * @param  list<string>  $valued
     * @param  list<string>  $flags
     *
     * @throws UnusableCall
     */
    public static function read(array $words, array $valued, array $flags): self
    {
        $plain = $options = $set = [];
        while (($word = array_shift($words)) !== null) {
            if (! str_starts_with($word, '--')) {
                $plain[] = $word;

                continue;
            }
            [$name, $value] = explode('=', substr($word, 2), 2) + [1 => null];
            if (in_array($name, $flags, true)) {
                $set[] = $name;
            } elseif (in_array($name, $valued, true)) {
                $options[$name][] = $value ?? array_shift($words) ?? throw UnusableCall::missing("a value for --$name");
            } else {
                throw UnusableCall::option($word);
            }
        }
        if (count($plain) > 2) {
            throw UnusableCall::tooMany($plain[2]);
        }

        return new self($plain[0] ?? '', $plain[1] ?? null, $options, $set);
    }

    public function operand(string $what): string
    {
        return $this->operand ?? throw UnusableCall::missing($what);
    }

    public function option(string $name): ?string
    {
        return $this->options[$name][0] ?? null;
    }

    /** The output file, after checking that its folder is writable, so that this does not fail only after long work. */
    public function target(string $file): string
    {
        $target = $this->option('out') ?? throw UnusableCall::missing("--out $file");
        if ($target === '' || is_dir($target) || ! is_writable(is_file($target) ? $target : dirname($target))) {
            throw UnusableCall::unwritable($target);
        }

        return $target;
    }

    /** The folder that an option names; created if missing. */
    public function folder(string $name, int $mode = 0o755): string
    {
        $folder = $this->option($name) ?? throw UnusableCall::missing("--$name FOLDER");
        $there = $folder;
        while ($there !== '' && ! file_exists($there) && dirname($there) !== $there) {
            $there = dirname($there);
        }
        if (! is_dir($there)) {
            throw UnusableCall::folder($folder);
        }
        if (! is_writable($there) || (! is_dir($folder) && ! mkdir($folder, $mode, true))) {
            throw UnusableCall::unwritable($folder);
        }

        return $folder;
    }

    /** @return list<string> */
    public function options(string $name): array
    {
        return $this->options[$name] ?? [];
    }

    public function flag(string $name): bool
    {
        return in_array($name, $this->flags, true);
    }
}
