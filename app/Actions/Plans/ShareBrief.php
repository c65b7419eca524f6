<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\BriefLink;
use App\Models\PlanItem;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\URL;

/**
 * Shares a brief with a writer without an account: a signed URL that expires and can be revoked. It shows this brief alone.
 *
 * @phpstan-type SharedLink array{id: int, url: string, created_at: string, expires_at: string, used_at: ?string}
 */
final class ShareBrief
{
    public const ROUTE = 'brief.shared';
    public const DAYS = 14;
    public const MOST_DAYS = 90;

    /** @return SharedLink */
    public function execute(PlanItem $item, int $days, int $user): array
    {
        $link = BriefLink::query()->create([
            'plan_item_id' => $item->id,
            'user_id' => $user,
            'created_at' => now(),
            'expires_at' => now()->addDays($days)->startOfSecond(),
        ]);

        return self::told($link);
    }

    /** @return list<SharedLink> those that open it now, the newest first */
    public function open(PlanItem $item): array
    {
        /** @var Collection<int, BriefLink> $links */
        $links = BriefLink::query()
            ->where('plan_item_id', $item->id)
            ->whereNull('revoked_at')
            ->where('expires_at', '>', now())
            ->orderByDesc('id')
            ->get();

        return array_map(self::told(...), array_values($links->all()));
    }

    public function revoke(PlanItem $item, int $link): void
    {
        BriefLink::query()->where('plan_item_id', $item->id)->where('id', $link)->firstOrFail()->update(['revoked_at' => now()]);
    }

    /** @return SharedLink */
    private static function told(BriefLink $link): array
    {
        $path = URL::temporarySignedRoute(self::ROUTE, $link->expires_at, ['link' => $link->id], false);

        return [
            'id' => $link->id,
            'url' => url($path),
            'created_at' => $link->created_at->toIso8601String(),
            'expires_at' => $link->expires_at->toIso8601String(),
            'used_at' => $link->used_at?->toIso8601String(),
        ];
    }
}
