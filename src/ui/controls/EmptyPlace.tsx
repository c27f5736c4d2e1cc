'use client';
import styled from 'styled-components';

/** What fills a room while there is nothing in it: a heading, a few words, what to do first. */
export const EmptyPlace = styled.main`
  max-width: 620px;
  margin: 0 auto;
  padding: 10vh 22px 40px;
  display: grid;
  gap: 16px;
  h1 {
    font-size: 28px;
    line-height: 1.15;
    font-weight: 700;
  }
  p {
    font-size: 15px;
  }
`;

export const FirstActs = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 6px 0;
`;
