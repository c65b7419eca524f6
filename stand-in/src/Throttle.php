<?php

declare(strict_types=1);

namespace StandIn;

/** Lets so many requests a second pass, over all workers of the service. */
final readonly class Throttle
{
    public function __construct(private string $path, private int $perSecond)
    {
    }

    public function allows(int $second): bool
    {
        $file = fopen($this->path, 'c+b');
        if ($file === false || ! flock($file, LOCK_EX)) {
            return true;
        }
        [$at, $count] = array_map(intval(...), explode(' ', (string) stream_get_contents($file)) + ['0', '0']);
        $count = $at === $second ? $count + 1 : 1;
        ftruncate($file, 0);
        rewind($file);
        fwrite($file, "{$second} {$count}");
        fclose($file);

        return $count <= $this->perSecond;
    }
}
