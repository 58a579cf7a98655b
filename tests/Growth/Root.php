<?php

declare(strict_types=1);

namespace Tests\Growth;

use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Exception\GuzzleException;
use Symfony\Component\Process\Process;

/** An application root of its own: a copy of the code with its own storage, a server and two workers, as on another machine. */
final class Root
{
    /** @var list<Process> */
    private array $running = [];

    private function __construct(
        public readonly string $path,
        private readonly int $port,
    ) {}

    public static function at(string $path, int $port): self
    {
        mkdir($path, 0o700, true);
        foreach (['app', 'bin', 'bootstrap', 'config', 'core', 'database', 'demo', 'public', 'resources', 'routes', 'artisan', 'composer.json'] as $part) {
            (new Process(['cp', '-a', dirname(__DIR__, 2).'/'.$part, $path]))->mustRun();
        }
        symlink(dirname(__DIR__, 2).'/vendor', "$path/vendor");
        array_map(unlink(...), glob("$path/bootstrap/cache/*.php") ?: []);
        foreach (['app', 'logs', 'framework/views', 'framework/cache', 'framework/sessions'] as $folder) {
            mkdir("$path/storage/$folder", 0o700, true);
        }

        return new self($path, $port);
    }

    public function artisan(string ...$words): string
    {
        return trim($this->process([PHP_BINARY, '-d', 'ffi.enable=true', 'artisan', ...$words])->mustRun()->getOutput());
    }

    public function start(): void
    {
        $this->run([PHP_BINARY, '-d', 'ffi.enable=true', '-S', "127.0.0.1:$this->port", dirname(__DIR__, 2).'/vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php'], "$this->path/public");
        $this->run([PHP_BINARY, '-d', 'ffi.enable=true', 'artisan', 'crow:work']);
        $this->run([PHP_BINARY, '-d', 'ffi.enable=true', 'artisan', 'crow:work']);
        $ends = time() + 300;
        while (! $this->answers() && time() < $ends) {
            usleep(100_000);
        }
    }

    private function answers(): bool
    {
        try {
            return $this->browser(new CookieJar)->get('up')->getStatusCode() === 200;
        } catch (GuzzleException) {
            return false;
        }
    }

    /** As when the machine loses its power: nothing is told to anybody. */
    public function kill(): void
    {
        foreach ($this->running as $process) {
            $process->stop(0, SIGKILL);
        }
        $this->running = [];
    }

    /** Whether a worker of this root is making the export. */
    public function makes(int $export): bool
    {
        return glob("$this->path/storage/app/shops/*/scratch/$export") !== [];
    }

    /** How many of its processes run, and what it last noted: for a test that waited for it in vain. */
    public function state(): string
    {
        $running = count(array_filter($this->running, fn (Process $process): bool => $process->isRunning()));
        $log = "$this->path/storage/logs/laravel.log";

        return sprintf("%d of %d processes run.\n%s", $running, count($this->running), is_file($log) ? substr((string) file_get_contents($log), -2000) : 'Nothing was noted.');
    }

    public function browser(CookieJar $cookies): Client
    {
        return new Client(['base_uri' => "http://127.0.0.1:$this->port/", 'cookies' => $cookies, 'headers' => ['Accept' => 'application/json'], 'timeout' => 60]);
    }

    /** @param  list<string>  $command */
    private function run(array $command, ?string $folder = null): void
    {
        $process = $this->process($command, $folder);
        $process->disableOutput();
        $process->start();
        $this->running[] = $process;
    }

    /** @param  list<string>  $command */
    private function process(array $command, ?string $folder = null): Process
    {
        return new Process($command, $folder ?? $this->path, ['APP_ENV' => 'production', 'APP_URL' => "http://127.0.0.1:$this->port", 'LOG_CHANNEL' => 'single', 'QUEUE_CONNECTION' => 'redis', 'CROW_STORAGE' => "$this->path/storage/app/shops"], timeout: 120);
    }
}
