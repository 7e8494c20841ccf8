package zebrawood.bed;

import zebrawood.measure.Finding;

/** What a visit to the bed came to: a measured level, or only a felt one. */
public sealed interface BedVisitFinding extends Finding
    permits LevelFinding, FeelCheck.FeelFinding {}
