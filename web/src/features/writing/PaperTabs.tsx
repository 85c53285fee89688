import { ButtonBase, Tooltip } from '@mui/material';
import type { Paper } from '../../shared/api';

interface Props {
  paper: Paper;
  answerable: boolean;
  begun: (paper: Paper) => boolean;
  onPaper: (paper: Paper) => void;
}

/** Which of the two papers lies on top: the reply or the note. */
export function PaperTabs({ paper, answerable, begun, onPaper }: Props) {
  return (['REPLY', 'NOTE'] as const).map((each) => (
    <Tooltip key={each} title={each === 'NOTE' ? 'N' : 'R'}>
      <span>
        <ButtonBase
          aria-pressed={paper === each}
          disabled={each === 'REPLY' && !answerable}
          onClick={() => onPaper(each)}
          sx={{
            py: 0.5,
            borderRadius: 0,
            fontWeight: paper === each ? 700 : 500,
            color: paper === each ? 'text.primary' : 'text.secondary',
            borderBottom: 2,
            borderColor: paper === each ? 'primary.main' : 'transparent',
            '&.Mui-disabled': { textDecoration: 'line-through' },
          }}
        >
          {each === 'NOTE' ? 'Note' : 'Reply'}
          {begun(each) && paper !== each && ' (draft)'}
        </ButtonBase>
      </span>
    </Tooltip>
  ));
}
