<?php

declare(strict_types=1);

namespace Tests;

use App\Models\HouseRecord;
use App\Models\Shop;
use Symfony\Component\Process\Process;
use TallCrow\House\House;
use TallCrow\Tests\Fixtures;

/** The print house that ships with the application, as a process of its own with houses of the test. */
final class StandIn
{
    private ?Process $process = null;

    private function __construct(
        public readonly string $address,
        private readonly string $folder,
    ) {}

    /** @param  array<string, array<string, mixed>>  $houses  as their files hold them, by slug */
    public static function with(array $houses): self
    {
        $folder = Fixtures::temporary('print-house');
        mkdir("$folder/houses");
        foreach ($houses as $slug => $house) {
            file_put_contents("$folder/houses/$slug.json", json_encode($house));
        }
        // The system chooses a port that is free.
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new \RuntimeException('No port is free.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);
        $standIn = new self("http://$name", $folder);
        $standIn->open();
        config(['houses.services.trial.address' => $standIn->address]);

        return $standIn;
    }

    public function open(): void
    {
        $this->process = new Process([PHP_BINARY, '-S', substr($this->address, 7), dirname(__DIR__).'/print-house/serve.php'], env: ['PRINT_HOUSE_FOLDER' => $this->folder, 'PRINT_HOUSE_HOUSES' => "$this->folder/houses", 'PRINT_HOUSE_CONTROL' => 'yes', 'PRINT_HOUSE_SECONDS' => '0'], timeout: null);
        $this->process->start();
        for ($ends = microtime(true) + 120; @file_get_contents("$this->address/openapi.json") === false;) {
            microtime(true) < $ends || throw new \RuntimeException('The print house did not open: '.$this->process->getErrorOutput());
            usleep(30_000);
        }
    }

    public function close(): void
    {
        $this->process?->stop(1);
    }

    public function moods(string ...$moods): void
    {
        $this->call('PUT', 'control/moods', (string) json_encode($moods));
    }

    /** @return list<array{house: string, key: string, sha256: string}> */
    public function prints(): array
    {
        return json_decode($this->call('GET', 'control/prints'), true);
    }

    public function call(string $method, string $path, string $body = ''): string
    {
        return (string) file_get_contents("$this->address/$path", context: stream_context_create(['http' => ['method' => $method, 'content' => $body, 'header' => 'Content-Type: application/json', 'ignore_errors' => true]]));
    }

    /** @param  array<string, mixed>  $house */
    public static function record(Shop $shop, array $house, string $account, string $token = ''): HouseRecord
    {
        return $shop->houses()->create(['name' => $house['name'], 'body' => HouseRecord::bodyOf(House::data($house)), 'service' => 'trial', 'account' => $account, 'token' => $token === '' ? null : $token]);
    }
}
