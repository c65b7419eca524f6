<?php

declare(strict_types=1);

namespace Symfony\Component\Clock;

/** The system clock in one time zone. Delete with this package once symfony/clock can be installed. */
final class NativeClock implements ClockInterface
{
    private \DateTimeZone $timezone;

    public function __construct(\DateTimeZone|string|null $timezone = null)
    {
        $name = $timezone ?? date_default_timezone_get();
        $this->timezone = \is_string($name) ? new \DateTimeZone($name) : $name;
    }

    public function now(): \DateTimeImmutable
    {
        return new \DateTimeImmutable('now', $this->timezone);
    }

    public function sleep(float|int $seconds): void
    {
        usleep((int) round($seconds * 1_000_000));
    }

    public function withTimeZone(\DateTimeZone|string $timezone): static
    {
        return new static($timezone);
    }
}
