<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\LineFile;

/** What the keywords of a part bring to their topics, in a file for each part that topics are weighed in. */
final readonly class MemberFiles
{
    /** @var list<LineFile> */
    private array $files;

    public function __construct(private Part $part)
    {
        $this->files = array_map(static fn(int $other): LineFile => LineFile::begin($part->members($other)), range(0, $part->of - 1));
    }

    public function add(TopicMember $member): void
    {
        $this->files[$this->part->ofTopic($member->topic)]->add($member->toLine());
    }

    public function end(): void
    {
        foreach ($this->files as $file) {
            $file->end();
        }
    }
}
