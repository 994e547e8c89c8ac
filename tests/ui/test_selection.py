"""What choosing makes of what was chosen: one value, no window."""

from chronotome.session.edits.clips import Range
from chronotome.session.edits.tracks import remove_track
from chronotome.session.model import Clip, Session, Take, Track
from chronotome.ui.state.selection import Selection

TAKE = Take("0" * 64, 0, 100)
TRACKS = tuple(Track(at, f"Track {at}", (Clip(at, TAKE), Clip(10 + at, TAKE))) for at in (1, 2))
SONG = Session(tracks=TRACKS)


def test_of_clips_hits_and_a_span_one_kind_is_chosen_and_onsets_are_let_go_of():
    onsets = Selection().with_onsets((4, 5), 5)
    clips = onsets.with_clips(SONG, [(2, 2), (2, 12)])
    hits = clips.with_parts(SONG, (1, 11), [7, 7, 8])
    span = hits.with_span(Range(0, 50, (1, 2)))

    assert (clips.clips, clips.onsets, clips.onset, clips.track) == (((2, 2), (2, 12)), (), None, 2)
    assert (hits.parts, hits.clips, hits.track, hits.place(SONG)) == ((7, 8), (), 1, (1, 11))
    assert (span.parts, span.span_in(SONG), span.place(SONG)) == ((), Range(0, 50, (1, 2)), (1, 11))
    assert span.with_clips(SONG, []).clips == ()


def test_the_same_choice_is_the_same_value_and_another_track_lets_go_of_onsets_alone():
    clips = Selection().with_clips(SONG, [(2, 2)])
    beside = clips.with_onsets((3,), 3)

    assert clips.with_clips(SONG, [(2, 2)]) == clips
    assert beside.with_clips(SONG, [(2, 2)]).onsets == (3,)
    assert (beside.at_track(1).onsets, beside.at_track(1).clips) == ((), ((2, 2),))
    assert clips.with_span(None) is clips


def test_what_was_removed_is_not_chosen():
    chosen = Selection().with_clips(SONG, [(1, 1), (2, 2)])
    span = chosen.with_span(Range(0, 50, (1, 2)))
    left = remove_track(SONG, 2)

    assert (chosen.clips_in(left), chosen.clip(left).id, chosen.focused(left).id) == (((1, 1),), 1, 1)
    assert span.span_in(left) is None
    assert chosen.focused(Session()) is None
