<?php

declare(strict_types=1);

namespace App\Support;

/**
 * Who is connected to this machine at the moment, as Linux tells it in `/proc/net/tcp` (proc(5)): a line a connection, ports in
 * hexadecimal.
 */
final readonly class TcpConnections
{
    private const ESTABLISHED = '01';
    private const TABLES = ['/proc/net/tcp', '/proc/net/tcp6'];

    /** @param array<int, true> $ports at the far ends of connections to ours that are open at both */
    private function __construct(private array $ports)
    {
    }

    /** @param int $served port at our end */
    public static function to(int $served): self
    {
        $ports = [];
        foreach (self::TABLES as $table) {
            $ports += self::read(is_readable($table) ? (string) file_get_contents($table) : '', $served);
        }

        return new self($ports);
    }

    public static function fromText(string $table, int $served): self
    {
        return new self(self::read($table, $served));
    }

    public function has(int $port): bool
    {
        return isset($this->ports[$port]);
    }

    /** @return array<int, true> */
    private static function read(string $table, int $served): array
    {
        preg_match_all('/^\s*\d+: [0-9A-F]+:([0-9A-F]{4}) [0-9A-F]+:([0-9A-F]{4}) ([0-9A-F]{2}) /m', $table, $lines, PREG_SET_ORDER);
        $ports = [];
        foreach ($lines as [, $local, $remote, $state]) {
            if (hexdec($local) === $served && $state === self::ESTABLISHED) {
                $ports[(int) hexdec($remote)] = true;
            }
        }

        return $ports;
    }
}
