package app.galdrin.web.account;

import org.apache.ibatis.annotations.Mapper;

/** Tries to get in. */
@Mapper
interface AttemptMapper {

    /** A line of the count; an empty account or address stands for any. */
    record Line(String account, String address) {}

    /** One more try; how many the line has with it. */
    int count(AttemptKind kind, Line line, int minutes);

    /** Returns how many a line has of late. */
    int tries(AttemptKind kind, Line line, int minutes);

    void takeBack(AttemptKind kind, Line line);

    void forget(AttemptKind kind, Line line);

    void deleteOld(int minutes);
}
