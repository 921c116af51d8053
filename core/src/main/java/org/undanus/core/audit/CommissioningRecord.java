package org.undanus.core.audit;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.undanus.core.evidence.PointKey;
import org.undanus.core.quantity.Temperature;

/**
 * A commissioning record as it was handed in.
 *
 * @param id of the record
 * @param reference of the installation
 * @param building where it stands
 * @param crew who worked there
 * @param signedBy who signed it
 * @param on the day it speaks of
 * @param weather of that day, entered by whoever looks at the record; empty where nobody did
 * @param claims of each line one
 */
public record CommissioningRecord(
        String id,
        String reference,
        String building,
        String crew,
        String signedBy,
        LocalDate on,
        Optional<DayWeather> weather,
        List<Claim> claims) {

    /** The coldest and the warmest of a day. */
    public record DayWeather(Temperature coldest, Temperature warmest) {
        public DayWeather {
            if (coldest.si() > warmest.si()) {
                throw new IllegalArgumentException("The coldest of a day is not warmer than its warmest.");
            }
        }
    }

    public CommissioningRecord {
        claims = List.copyOf(claims);
    }

    public Optional<Claim> claim(PointKey key) {
        return claims.stream().filter(claim -> claim.key().equals(key)).findFirst();
    }
}
