"use client";

import { Button, Select } from "antd";
import type { Locale } from "../../../core/text/local-text";
import { sentence } from "../../../text/sentence";
import { moved, OrderedList } from "./ranked-input.client";

/** Some of several options in the order of preference: picked, moved up and down, taken out again. */
export function RankedPicks({
  id,
  options,
  picked,
  least = 0,
  most,
  disabled,
  locale,
  onOrder,
}: {
  id: string;
  options: readonly { readonly value: string; readonly label: string }[];
  picked: readonly string[];
  /** So many have to stay. */
  least?: number;
  most?: number | undefined;
  disabled: boolean;
  locale: Locale;
  onOrder: (next: readonly string[]) => void;
}) {
  const titleOf = (value: string) => options.find((o) => o.value === value)?.label ?? value;
  const left = options.filter((o) => !picked.includes(o.value));
  return (
    <div className="ranked">
      {picked.length > 0 ? (
        <OrderedList
          items={picked.map((value) => ({ id: value, label: titleOf(value) }))}
          disabled={disabled}
          label={sentence(locale, "field.picked")}
          gripLabel={(item) => item.label}
          onOrder={onOrder}
          render={(item, i) => (
            <>
              <span className="grow">{item.label}</span>
              {disabled ? null : (
                <>
                  <Button
                    size="small"
                    disabled={i === 0}
                    aria-label={sentence(locale, "field.up", { option: item.label })}
                    onClick={() => onOrder(moved(picked, i, i - 1))}
                  >
                    ↑
                  </Button>
                  <Button
                    size="small"
                    disabled={i === picked.length - 1}
                    aria-label={sentence(locale, "field.down", { option: item.label })}
                    onClick={() => onOrder(moved(picked, i, i + 1))}
                  >
                    ↓
                  </Button>
                  <Button
                    size="small"
                    disabled={picked.length <= least}
                    aria-label={sentence(locale, "field.takeOut", { option: item.label })}
                    onClick={() => onOrder(picked.filter((value) => value !== item.id))}
                  >
                    ×
                  </Button>
                </>
              )}
            </>
          )}
        />
      ) : null}
      {disabled || left.length === 0 ? null : (
        <Select
          id={id}
          disabled={most !== undefined && picked.length >= most}
          value={null}
          placeholder={sentence(locale, "field.pick")}
          style={{ width: "100%" }}
          options={left.map((o) => ({ ...o }))}
          onChange={(value: string | null) => value && onOrder([...picked, value])}
        />
      )}
    </div>
  );
}
