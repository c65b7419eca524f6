<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Exceptions\UserError;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\ItemStatus;
use GreaterReach\Core\Site\PublicSuffixList;
use GreaterReach\Core\Site\UrlKey;
use Illuminate\Support\Facades\DB;

/** Takes down what a writer says of the page: that it is being written, or published and where, and what there is to know. */
final readonly class SubmitBriefAnswer
{
    /** What a writer can say, and no more. */
    public const STATUSES = [ItemStatus::Writing, ItemStatus::Published];

    public function __construct(private PublicSuffixList $suffixes)
    {
    }

    /** @throws UserError when the page is not on our domain, or the item is finished */
    public function execute(Study $study, PlanItem $item, ItemStatus $status, ?string $url, ?string $note): void
    {
        if ($status === ItemStatus::Published && $url === null) {
            throw UserError::because('url', 'Enter the URL of the published page.');
        }
        if ($url !== null && ! $this->isOurs($study, $url)) {
            throw UserError::because('url', sprintf('"%s" isn’t a page of %s.', $url, $study->ownDomain()->entry));
        }
        DB::transaction(static function () use ($item, $status, $url, $note): void {
            $now = PlanItem::query()->lockForUpdate()->findOrFail($item->id);
            if (! ItemStatus::from($now->status)->isOpen()) {
                throw UserError::because('status', sprintf('This work is %s. Ask the person who sent you the link.', $now->status));
            }
            $now->fill([
                'status' => $status->value,
                'published_url' => $url,
                'writer_note' => $note,
                'version' => $now->version + 1,
                'updated_by' => null,
            ])->save();
        });
    }

    private function isOurs(Study $study, string $url): bool
    {
        return preg_match('~^https?://[^\s/]+\.[^\s]+$~iD', $url) === 1
            && $study->ownDomain()->toEntry($this->suffixes)->covers(UrlKey::of($url));
    }
}
