'use client';
import {
  ListBox,
  ListBoxLoadMoreItem,
  ListBoxSection,
  type ListBoxProps,
} from 'react-aria-components';
import { GroupTitle } from './choiceLook';
import type { OptionGroup } from './options';
import { Row, RowNote } from './surfaces';

interface OptionListProps extends Omit<ListBoxProps<object>, 'children'> {
  groups: readonly OptionGroup[];
  /** Brings more options, where there are any, once one comes to the end of these. */
  onEnd?: () => void;
}

/** Options under the titles of their groups. */
export function OptionList({ groups, onEnd, ...rest }: OptionListProps) {
  return (
    <ListBox {...rest}>
      {groups
        .filter((group) => group.options.length > 0)
        .map((group) => (
          <ListBoxSection key={group.title} id={group.title}>
            <GroupTitle>{group.title}</GroupTitle>
            {group.options.map((option) => (
              <Row key={option.id} id={option.id} textValue={option.label}>
                {option.label}
                {option.note && <RowNote> {option.note}</RowNote>}
              </Row>
            ))}
          </ListBoxSection>
        ))}
      {onEnd && <ListBoxLoadMoreItem onLoadMore={onEnd} />}
    </ListBox>
  );
}
