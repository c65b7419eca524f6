<?php

declare(strict_types=1);

namespace StandIn;

/** Random numbers that depend on a seed and a name alone, so that the order in which they are asked for never matters. */
final readonly class Noise
{
    public function __construct(private int $seed)
    {
    }

    /** Uniform in the open interval 0…1. */
    public function uniform(string $name): float
    {
        $bits = (int) hexdec(substr(hash('xxh64', $this->seed.'|'.$name), 0, 13));

        return ($bits + .5) / 2 ** 52;
    }

    /** Standard normal (Box and Muller 1958). */
    public function normal(string $name): float
    {
        return sqrt(-2 * log($this->uniform($name.'|r'))) * cos(2 * M_PI * $this->uniform($name.'|a'));
    }
}
